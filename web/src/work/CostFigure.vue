<script setup lang="ts">
import type { ComparisonJson } from '@wergon/contract/work';
import { useDesk } from '../desk/useDesk.ts';

defineProps<{ comparison: ComparisonJson; hasEstimate: boolean }>();
const desk = useDesk();
const isAbove = ({ costDifference }: ComparisonJson) => Number(costDifference) > 0;
</script>

<template>
  <span class="cost figure">
    <b :class="{ attention: hasEstimate && isAbove(comparison) }">{{ desk.money(comparison.actualCost) }}</b>
    <span v-if="hasEstimate" class="of">of {{ desk.money(comparison.estimatedCost) }}</span>
    <span v-if="comparison.uncostedLines > 0" class="of attention"
      >{{ comparison.uncostedLines }} lines lack a rate</span
    >
  </span>
</template>

<style scoped>
.cost > * {
  display: block;
}
.of {
  color: var(--ink-2);
  font-size: 13px;
}
.attention {
  color: var(--attention);
}
</style>
