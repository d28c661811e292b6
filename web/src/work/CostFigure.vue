<script setup lang="ts">
import type { ComparisonJson } from '@wergon/contract/work';
import { useDesk } from '../desk/useDesk.ts';

defineProps<{ comparison: ComparisonJson; hasEstimate: boolean }>();
const desk = useDesk();
const isAbove = ({ costDifference }: ComparisonJson) => costDifference !== null && Number(costDifference) > 0;
</script>

<template>
  <span class="cost figure">
    <span
      v-if="comparison.actualCost === null"
      class="private"
      title="All labor here is one person's: its cost would be a wage"
      >private</span
    >
    <b v-else :class="{ attention: hasEstimate && isAbove(comparison) }">{{
      desk.money(comparison.actualCost)
    }}</b>
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
.of,
.private {
  color: var(--ink-2);
  font-size: 13px;
}
.attention {
  color: var(--attention);
}
</style>
