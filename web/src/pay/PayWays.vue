<script setup lang="ts">
import { WaysNav } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** The pages of this place. */
const WAYS = [
  { name: 'pay', words: t('pay.periodsWay'), right: 'pay.see' },
  { name: 'pay-time-off', words: t('pay.timeOff'), right: 'people.see' },
  { name: 'pay-file', words: t('pay.payFile'), right: 'pay.see' },
  { name: 'pay-payroll', words: t('pay.whatPayrollPaid'), right: 'rates.see' },
  { name: 'pay-overtime', words: t('pay.overtimeWay'), right: 'pay.see' },
] as const;
</script>

<template>
  <WaysNav :ways="WAYS" :label="t('pay.waysOfPay')" />
</template>
