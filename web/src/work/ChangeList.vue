<script setup lang="ts">
import { t } from '../words/index.ts';
defineProps<{
  changes: readonly { readonly field: string; readonly before: string; readonly after: string }[];
}>();
</script>

<template>
  <ul class="changes">
    <li v-for="{ field, before, after } in changes" :key="field">
      {{ field }}:
      <template v-if="before"
        ><s>{{ before }}</s> →
      </template>
      {{ after || t('common.nothing') }}
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
