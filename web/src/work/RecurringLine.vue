<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { callRoute } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** How much of what comes back comes due soon; nothing where no work does. */
const query = useQuery({ queryKey: ['recurring', 'soon'], queryFn: () => callRoute('recurring') });
</script>

<template>
  <RouterLink
    v-if="query.data.value && query.data.value.total > 0"
    :to="{ name: 'recurring' }"
    class="recurring"
    >{{
      query.data.value.soon > 0 ? t('work.dueSoon', { n: query.data.value.soon }) : t('work.comesDue')
    }}</RouterLink
  >
</template>

<style scoped>
.recurring {
  align-self: center;
  margin: 0 8px;
  font-size: var(--text-m);
}
</style>
