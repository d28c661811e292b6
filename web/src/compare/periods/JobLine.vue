<script setup lang="ts">
import { computed } from 'vue';
import type { DifferenceScale, DifferenceUnit } from '@wergon/core/compare';
import type { ComparedJob } from '@wergon/contract/compare';
import { useDesk } from '../../kit/index.ts';
import { t } from '../../words/index.ts';
import { sayHoursMore, sayMain, sayMoneyMore, sayWhy } from '../whyWords.ts';
import DifferenceBar from './DifferenceBar.vue';

/** One job against its estimate: its bar, the sentence of what counts most, hours and money. */
const props = defineProps<{ job: ComparedJob; scale: DifferenceScale; unit: DifferenceUnit }>();
const desk = useDesk();
const isOver = computed(() => props.job.current.difference > 0);
const sentence = computed(() =>
  props.job.hasEstimate ? sayMain(props.job.current, props.job.main, desk) : t('common.noEstimate'),
);
</script>

<template>
  <RouterLink class="job-line" :to="{ name: 'why', params: { order: job.id } }">
    <span class="number figure">{{ job.number }}</span>
    <span class="name"
      ><span>{{ job.title }}</span
      ><small>{{ job.customer }}</small></span
    >
    <span class="bar">
      <DifferenceBar
        :difference="job.current"
        :scale="scale"
        :unit="unit"
        :label="sayWhy(job.current.causes, desk)"
      />
      <small>{{ sentence }}</small>
    </span>
    <span class="figure" :class="{ attention: job.current.differenceSeconds > 0 }">{{
      sayHoursMore(job.current.differenceSeconds, desk)
    }}</span>
    <span class="figure" :class="{ attention: isOver }">{{
      sayMoneyMore(job.current.difference, desk)
    }}</span>
  </RouterLink>
</template>
