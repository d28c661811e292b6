<script setup lang="ts">
import { useDesk } from '../useDesk.ts';
import { t } from '../../words/index.ts';

/** The other ways into the same truth, in the order in which a day is made true. */
const desk = useDesk();
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
  <nav class="ways" :aria-label="t('kit.waysToPutTimeRight')">
    <template v-for="way in WAYS" :key="way.name">
      <RouterLink
        v-if="desk.may(way.right)"
        :to="{ name: way.name }"
        :class="{ here: $route.name === way.name }"
        >{{ way.words }}</RouterLink
      >
    </template>
  </nav>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  padding: 5px 16px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  font-size: var(--text-s);
}
a {
  padding: 2px 0;
  color: var(--ink-2);
  text-decoration: none;
}
a:hover {
  color: var(--ink);
  text-decoration: underline;
}
.here {
  color: var(--ink);
  font-weight: 700;
}
</style>
