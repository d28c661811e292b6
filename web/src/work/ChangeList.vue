<script setup lang="ts">
import { sayTerm, t } from '../words/index.ts';

type Change = { readonly field: string; readonly before: string; readonly after: string };
defineProps<{ changes: readonly Change[] }>();
/** A field as it was kept; of a task it stands behind the task's title, which is the shop's own words. */
function sayField(field: string): string {
  const cut = field.lastIndexOf(': ');
  return cut < 0
    ? sayTerm('orderFields', field)
    : `${field.slice(0, cut)}: ${sayTerm('taskFields', field.slice(cut + 2))}`;
}
/** A value as it was kept, in words: states, kinds of work, and what was done have theirs. */
function sayValue(field: string, value: string): string {
  if (field === 'State') return sayTerm('orderStates', value);
  if (field === 'Estimate includes')
    return value
      .split(', ')
      .map((each) => sayTerm('workTypes', each))
      .join(', ');
  return sayTerm('orderActs', value);
}
</script>

<template>
  <ul class="changes">
    <li v-for="{ field, before, after } in changes" :key="field">
      {{ sayField(field) }}:
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
