<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { callRoute, useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** Work that was written down at stations and is tied to no task: its time stands on no job until somebody does. */
const desk = useDesk();
const query = useQuery({ queryKey: ['written'], queryFn: () => callRoute('written') });
const written = computed(() => query.data.value?.written ?? []);
const seconds = computed(() => written.value.reduce((sum, each) => sum + each.seconds, 0));
</script>

<template>
  <p v-if="written.length > 0" class="written">
    {{ t('looseEnds.writtenTasksWait', { n: written.length, hours: desk.hours(seconds) }) }}
    <RouterLink :to="{ name: 'written' }">{{ t('looseEnds.tieThem') }}</RouterLink>
  </p>
</template>

<style scoped>
.written {
  margin: 0;
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
}
</style>
