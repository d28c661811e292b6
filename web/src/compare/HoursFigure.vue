<script setup lang="ts">
import type { BalanceWords } from './figures.ts';

defineProps<{ balance: BalanceWords }>();
</script>

<template>
  <span class="hours">
    <span class="main" :class="{ attention: balance.isOver }"
      ><b>{{ balance.hours }}</b> {{ balance.word }}</span
    >
    <span v-if="balance.also" class="also" :class="{ low: balance.isLow }">{{ balance.also }}</span>
  </span>
</template>

<style scoped>
.hours > * {
  display: block;
  font-size: var(--text-xs);
  white-space: nowrap;
}
.main b {
  font-size: var(--text-m);
}
.also,
.main:not(.attention) {
  color: var(--ink-2);
}
/* Not over yet: it stands out by weight, the color is kept for what is. */
.also.low {
  color: var(--ink);
  font-weight: 700;
}
.main:not(.attention) b {
  color: var(--ink);
}
</style>
