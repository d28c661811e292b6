<script setup lang="ts">
import { sayTerm, t } from '../words/index.ts';

type Change = { readonly field: string; readonly before: string; readonly after: string };
defineProps<{ changes: readonly Change[] }>();
/** A value as it was kept, in words; states have theirs. */
const sayValue = (field: string, value: string) =>
  field === 'State' ? sayTerm('orderStates', value) : value;
</script>

<template>
  <ul class="changes">
    <li v-for="{ field, before, after } in changes" :key="field">
      {{ sayTerm('orderFields', field) }}:
      <template v-if="before"
        ><s>{{ sayValue(field, before) }}</s> →
      </template>
      {{ sayValue(field, after) || t('common.nothing') }}
    </li>
  </ul>
</template>

<style scoped>
.changes {
  margin: 0;
  padding-left: 18px;
}
s {
  color: var(--ink-2);
}
</style>
