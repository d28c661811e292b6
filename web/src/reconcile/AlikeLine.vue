<script setup lang="ts">
import { computed } from 'vue';
import type { LooseEndJson } from './alike.ts';
import { sayAlike } from './sentences.ts';

/** Several loose ends of one day that have the same likeliest answer: answered together, one by one if not. */
const props = defineProps<{ ends: readonly LooseEndJson[]; isBusy: boolean }>();
const emit = defineEmits<{ answer: [ends: readonly LooseEndJson[], words: string] }>();
const words = computed(() => sayAlike(props.ends));
const names = computed(() => [...new Set(props.ends.map(({ name }) => name ?? 'somebody'))].join(', '));
</script>

<template>
  <li class="alike">
    <span
      ><b>{{ ends.length }}</b> alike: {{ names }}</span
    >
    <button
      type="button"
      class="btn btn-quiet btn-sm"
      :disabled="isBusy"
      @click="emit('answer', ends, words)"
    >
      {{ words }}, for all {{ ends.length }}
    </button>
  </li>
</template>

<style scoped>
.alike {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding: 4px 16px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
}
</style>
