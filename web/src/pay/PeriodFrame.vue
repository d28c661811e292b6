<script setup lang="ts">
import type { LocalDay } from '@wergon/core/time';
import { sayMonthDay } from '../kit/index.ts';
import { DeskFrame } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import PayWays from './PayWays.vue';
import PeriodRuler from './PeriodRuler.vue';
import type { usePayPeriods } from './usePayPeriods.ts';

/** A page that speaks of one pay period: the ruler of periods above it, and the ways of the place. */
defineProps<{
  periods: ReturnType<typeof usePayPeriods>;
  /** What the page shows; its name as long as that is not known. */
  shown: { readonly firstDay: LocalDay; readonly lastDay: LocalDay } | undefined;
  name: string;
}>();
</script>

<template>
  <DeskFrame
    :title="
      shown ? t('common.to', { day: sayMonthDay(shown.firstDay), day2: sayMonthDay(shown.lastDay) }) : name
    "
    :step="t('kit.stepPeriod')"
    :today="t('kit.toNow')"
    @back="periods.step(1)"
    @on="periods.step(-1)"
    @today="periods.toNow"
  >
    <template #ruler>
      <PeriodRuler
        :model-value="periods.firstDay.value"
        :periods="periods.list.value"
        @update:model-value="periods.choose"
      />
    </template>
    <PayWays />
    <slot />
  </DeskFrame>
</template>
