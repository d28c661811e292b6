<script setup lang="ts">
import type { CausedDifference, DifferenceScale, DifferenceUnit } from '@wergon/core/compare';
import type { ComparedJob } from '@wergon/contract/compare';
import { useDesk } from '../../kit/index.ts';
import { sayHoursMore, sayMoneyMore, sayWhy } from '../whyWords.ts';
import DifferenceBar from './DifferenceBar.vue';

/** One job, or what of it is looked at, against its estimate: bar, a sentence, hours and money; it leads to why. */
defineProps<{
  job: Pick<ComparedJob, 'id' | 'number' | 'title' | 'customer'>;
  difference: CausedDifference;
  scale: DifferenceScale;
  unit: DifferenceUnit;
  sentence?: string;
}>();
const desk = useDesk();
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
        :difference="difference"
        :scale="scale"
        :unit="unit"
        :label="sayWhy(difference.causes, desk)"
      />
      <small v-if="sentence">{{ sentence }}</small>
    </span>
    <span class="figure" :class="{ attention: difference.differenceSeconds > 0 }">{{
      sayHoursMore(difference.differenceSeconds, desk)
    }}</span>
    <span class="figure" :class="{ attention: difference.difference > 0 }">{{
      sayMoneyMore(difference.difference, desk)
    }}</span>
  </RouterLink>
</template>
