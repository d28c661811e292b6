<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { callRoute, useDesk, useNow } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** Rows of paper slips that nobody has finished, whoever began them: their time is missing until somebody does. */
const desk = useDesk();
const now = useNow();
const query = useQuery({
  queryKey: ['drafts'],
  queryFn: () => callRoute('drafts'),
  enabled: desk.may('ledger.correct'),
});
const drafts = computed(() => query.data.value?.drafts ?? []);
const oldest = computed(() => Math.max(0, now.value - Math.min(...drafts.value.map(({ at }) => at))));
</script>

<template>
  <p v-if="drafts.length > 0" class="slips">
    {{ t('looseEnds.slipsWait', { n: drafts.length }) }}
    {{ t('looseEnds.theOldestFor', { hours: desk.hours(oldest) }) }}.
    <RouterLink :to="{ name: 'slips' }">{{ t('looseEnds.goToSlips') }}</RouterLink>
  </p>
</template>

<style scoped>
.slips {
  margin: 0;
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
}
</style>
