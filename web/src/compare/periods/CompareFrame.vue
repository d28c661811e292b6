<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next';
import { DateField, DeskFrame, WaysNav } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { PERIOD_CHOICES } from './usePeriod.ts';
import type { Period, PeriodChoice } from './usePeriod.ts';

/** The frame of the pages of this place: the period above, the ways to look at it below. Without a period a page speaks of
 *  now. */
const props = defineProps<{ period?: Period; title?: string; lead: string; searchLabel?: string }>();
const search = defineModel<string>('search', { default: '' });
const WAYS = [
  { name: 'compare', words: t('compare.jobsWay'), right: 'work.see' },
  { name: 'compare-causes', words: t('compare.causesWay'), right: 'work.see' },
  { name: 'compare-people', words: t('compare.peopleWay'), right: 'reconcile.see' },
  { name: 'compare-machines', words: t('compare.machinesWay'), right: 'work.see' },
  { name: 'compare-hours', words: t('compare.hoursWay'), right: 'reconcile.see' },
  { name: 'compare-near', words: t('compare.nearWay'), right: 'work.see' },
] as const;
const choose = (choice: unknown) =>
  props.period?.choose(PERIOD_CHOICES.find((each) => each === choice) ?? 'weeks');
const stepOf = (choice: PeriodChoice) => (choice === 'days' ? '' : t(`periodSteps.${choice}`));
</script>

<template>
  <DeskFrame
    v-model:search="search"
    class="compare"
    :title="title ?? period?.title.value ?? ''"
    :lead="lead"
    :step="period ? stepOf(period.kind.value) : ''"
    :today="t('kit.toNow')"
    :search-label="searchLabel ?? ''"
    v-on="period ? period.steps : {}"
  >
    <template v-if="$slots['ruler']" #ruler><slot name="ruler" /></template>
    <WaysNav :ways="WAYS" :label="t('compare.waysToCompare')" :query="period ? period.carried.value : {}">
      <span v-if="period" class="of">
        <template v-if="period.kind.value === 'days'">
          <DateField
            :model-value="period.asked.value.from"
            :label="t('compare.firstDay')"
            is-small
            @update:model-value="period.setDays('from', $event)"
          />
          <DateField
            :model-value="period.asked.value.to"
            :label="t('compare.lastDay')"
            is-small
            @update:model-value="period.setDays('to', $event)"
          />
        </template>
        <BFormSelect
          :model-value="period.kind.value"
          size="sm"
          :aria-label="t('compare.whichPeriod')"
          @update:model-value="choose"
        >
          <option v-for="choice in PERIOD_CHOICES" :key="choice" :value="choice">
            {{ t(`periods.${choice}`) }}
          </option>
        </BFormSelect>
      </span>
    </WaysNav>
    <slot />
  </DeskFrame>
</template>

<style scoped>
.of {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-left: auto;
}
.form-select {
  width: auto;
}
</style>
