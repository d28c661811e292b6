<script setup lang="ts">
import { computed } from 'vue';
import type { ComparisonJson } from '@wergon/contract/compare';
import { useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ comparison: ComparisonJson; hasEstimate: boolean }>();
const desk = useDesk();
/** Cost is over as soon as it is true; under is for what is finished, and said on its own page. */
const isAbove = computed(() => props.hasEstimate && Number(props.comparison.costDifference) > 0);
</script>

<template>
  <span class="cost figure">
    <b :class="{ attention: isAbove }">{{ desk.money(comparison.actualCost) }}</b>
    <span v-if="hasEstimate" class="of">{{
      t('common.ofMoney', { money: desk.money(comparison.estimatedCost) })
    }}</span>
    <span v-if="isAbove" class="of attention">+{{ desk.money(comparison.costDifference) }}</span>
    <span v-if="comparison.uncostedLines > 0" class="of attention">{{
      t('compare.linesLackARate', { n: comparison.uncostedLines })
    }}</span>
  </span>
</template>

<style scoped>
.cost > * {
  display: block;
  white-space: nowrap;
}
.of {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.attention,
.of.attention {
  color: var(--attention);
}
</style>
