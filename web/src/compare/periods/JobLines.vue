<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { DifferenceScale, DifferenceUnit } from '@wergon/core/compare';
import { JOBS_AT_FIRST, MOST_JOBS } from '@wergon/contract/compare';
import type { ComparedJob } from '@wergon/contract/compare';
import { useDesk } from '../../kit/index.ts';
import { t } from '../../words/index.ts';
import { sayMain } from '../whyWords.ts';
import JobLine from './JobLine.vue';

/** Jobs, each with a sentence; of many the first ones, and more as they are asked for. */
defineProps<{
  jobs: readonly ComparedJob[];
  /** How many there are. */
  count: number;
  scale: DifferenceScale;
  unit: DifferenceUnit;
}>();
const most = defineModel<number>('most', { required: true });
const desk = useDesk();
const sentenceOf = ({ hasEstimate, current, main }: ComparedJob) =>
  hasEstimate ? sayMain(current, main, desk) : t('common.noEstimate');
</script>

<template>
  <JobLine
    v-for="job in jobs"
    :key="job.id"
    :job="job"
    :difference="job.current"
    :scale="scale"
    :unit="unit"
    :sentence="sentenceOf(job)"
  />
  <p v-if="count > jobs.length" class="more">
    {{ t('compare.ofShown', { n: jobs.length, all: count }) }}
    <BButton
      v-if="most < MOST_JOBS"
      variant="quiet"
      size="sm"
      @click="most = Math.min(MOST_JOBS, most + JOBS_AT_FIRST)"
      >{{ t('compare.showMore') }}</BButton
    >
  </p>
</template>

<style scoped>
.more {
  margin: 0;
  padding: 12px 16px;
}
</style>
