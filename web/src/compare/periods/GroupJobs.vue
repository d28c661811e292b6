<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { DifferenceScale, DifferenceUnit } from '@wergon/core/compare';
import { JOBS_AT_FIRST } from '@wergon/contract/compare';
import { callRoute } from '../../kit/index.ts';
import { QueryState } from '../../kit/parts/index.ts';
import JobLines from './JobLines.vue';

/** The jobs of a group that was opened. */
const props = defineProps<{
  asked: Readonly<Record<string, string>>;
  group: string;
  count: number;
  scale: DifferenceScale;
  unit: DifferenceUnit;
}>();
const most = ref(JOBS_AT_FIRST);
const asked = computed(() => ({ ...props.asked, key: props.group, most: String(most.value) }));
const query = useQuery({
  queryKey: ['compared-jobs', asked],
  queryFn: () => callRoute('comparedJobs', { query: asked.value }),
  placeholderData: keepPreviousData,
});
</script>

<template>
  <JobLines
    v-if="query.data.value"
    v-model:most="most"
    :jobs="query.data.value.jobs"
    :count="count"
    :scale="scale"
    :unit="unit"
  />
  <QueryState
    v-else
    :is-pending="query.isPending.value"
    :error="query.error.value"
    @retry="query.refetch()"
  />
</template>
