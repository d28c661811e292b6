<script setup lang="ts">
import { computed } from 'vue';
import type { CausedDifference, DifferenceScale, DifferenceUnit } from '@wergon/core/compare';
import { useDesk } from '../../kit/index.ts';
import { PlainButton } from '../../kit/parts/index.ts';
import { sayHoursMore, sayLargest, sayMoneyMore, sayWhy } from '../whyWords.ts';
import DifferenceBar from './DifferenceBar.vue';

/** Jobs or tasks together against their estimates; pressed, it opens. */
const props = defineProps<{
  name: string;
  /** Of how many they are. */
  note: string;
  difference: CausedDifference;
  scale: DifferenceScale;
  unit: DifferenceUnit;
}>();
const desk = useDesk();
const causes = computed(() => props.difference.causes);
</script>

<template>
  <PlainButton class="group-line">
    <span class="name"
      ><span>{{ name }}</span
      ><small>{{ note }}</small></span
    >
    <span class="bar">
      <DifferenceBar :difference="difference" :scale="scale" :unit="unit" :label="sayWhy(causes, desk)" />
      <small>{{ sayLargest(causes, desk) }}</small>
    </span>
    <span class="figure" :class="{ attention: difference.differenceSeconds > 0 }">{{
      sayHoursMore(difference.differenceSeconds, desk)
    }}</span>
    <span class="figure" :class="{ attention: difference.difference > 0 }">{{
      sayMoneyMore(difference.difference, desk)
    }}</span>
  </PlainButton>
</template>
