<script setup lang="ts">
import type { useHours } from './useHours.ts';

/** What was just written down, or why it was not. */
defineProps<{ hours: ReturnType<typeof useHours> }>();
</script>

<template>
  <p v-if="hours.problem.value" class="told attention" role="alert">{{ hours.problem.value }}</p>
  <p v-else-if="hours.made.value.length > 0" class="told" role="status">
    {{ hours.made.value.at(-1)?.words }}, done.
    <button type="button" class="btn btn-quiet btn-sm" :disabled="hours.isBusy.value" @click="hours.undo()">
      Undo
    </button>
  </p>
</template>

<style scoped>
.told {
  margin: 0;
  padding: 6px 16px;
  background: var(--action-tint);
}
.attention {
  background: var(--attention-tint);
}
</style>
