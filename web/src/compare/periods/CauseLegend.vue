<script setup lang="ts">
import type { Cause } from '@wergon/core/compare';
import { t } from '../../words/index.ts';

/** Which texture stands for which cause; only those that are in sight. */
defineProps<{ causes: readonly Cause[] }>();
</script>

<template>
  <p class="legend">
    <span v-for="cause in causes" :key="cause"
      ><i class="cause" :class="cause"></i>{{ t(`causes.${cause}`) }}</span
    >
    <slot />
  </p>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  margin: 0;
  padding: 12px 16px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.cause {
  display: inline-block;
  width: 22px;
  height: 12px;
  margin-right: 7px;
  vertical-align: -1px;
}
</style>
