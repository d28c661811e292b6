<script setup lang="ts">
import { t } from '../../words/index.ts';
import WaysNav from './WaysNav.vue';

/** The other ways into the same truth, in the order in which a day is made true. */
const WAYS = [
  { name: 'reconcile', words: t('kit.looseEnds'), right: 'reconcile.see' },
  { name: 'week', words: t('kit.aPersonsWeek'), right: 'reconcile.see' },
  { name: 'card', words: t('attendance.aPersonsCard'), right: 'reconcile.see' },
  { name: 'job-hours', words: t('kit.aJobManyPeople'), right: 'ledger.correct' },
  { name: 'slips', words: t('common.paperSlips'), right: 'ledger.correct' },
  { name: 'accounted', words: t('kit.accounted'), right: 'reconcile.see' },
  { name: 'approve', words: t('common.approve'), right: 'reconcile.see' },
  { name: 'trail', words: t('common.trail'), right: 'ledger.see' },
] as const;
</script>

<template>
  <WaysNav :ways="WAYS" :label="t('kit.waysToPutTimeRight')" />
</template>
