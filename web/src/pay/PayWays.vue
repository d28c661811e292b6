<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { callRoute } from '../kit/index.ts';
import { WaysNav } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** The pages of this place; what waits for an answer stands beside its page, as the rail counts it. */
const { data } = useQuery({ queryKey: ['rail'], queryFn: () => callRoute('rail') });
const ways = computed(() => [
  { name: 'pay', words: t('pay.periodsWay'), right: 'pay.see' as const },
  {
    ...{ name: 'pay-time-off', words: t('pay.timeOff'), right: 'people.see' as const },
    count: data.value?.timeOff ?? 0,
  },
  { name: 'pay-file', words: t('pay.payFile'), right: 'pay.see' as const },
  { name: 'pay-payroll', words: t('pay.whatPayrollPaid'), right: 'rates.see' as const },
  { name: 'pay-overtime', words: t('pay.overtimeWay'), right: 'pay.see' as const },
]);
</script>

<template>
  <WaysNav :ways="ways" :label="t('pay.waysOfPay')" />
</template>
