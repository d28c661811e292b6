<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { callRoute, linkToDay, sayDay } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, QueryState } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';

/** Days on which somebody was known at a station by a name or a number and nothing more: each is looked at on its tape. */
const props = defineProps<{ asked: { readonly from: string; readonly to: string }; search: string }>();
const query = useQuery({
  queryKey: ['named-days', computed(() => props.asked)],
  queryFn: () => callRoute('namedDays', { query: props.asked }),
});
type Named = ResponseOf<'namedDays'>['days'][number];
const found = computed(() => {
  const words = props.search.trim().toLowerCase();
  return (query.data.value?.days ?? []).filter(({ name, stations }) =>
    `${name} ${stations.join(' ')}`.toLowerCase().includes(words),
  );
});
const columns = computed((): readonly Column<Named>[] => [
  { id: 'day', title: t('common.dayHead'), sortBy: ({ day }) => day },
  { id: 'name', title: t('common.person'), value: ({ name }) => name, isRowHead: true },
  { id: 'times', title: t('looseEnds.scansSo'), class: 'figure number', value: ({ times }) => times },
  { id: 'stations', title: t('looseEnds.where'), value: ({ stations }) => sayList(stations) },
]);
</script>

<template>
  <QueryState
    v-if="!query.data.value"
    :is-pending="query.isPending.value"
    :error="query.error.value"
    @retry="query.refetch()"
  />
  <template v-else>
    <p class="none">{{ t('looseEnds.nobodyProvedWhoTheyWere') }}</p>
    <p v-if="found.length === 0" class="none" role="status">
      {{ search ? t('common.nobodyMatches') : t('looseEnds.everybodyShowedABadge') }}
    </p>
    <DataTable
      v-else
      class="across"
      :rows="found"
      :columns="columns"
      :row-key="({ technician, day }) => `${technician} ${day}`"
      is-sortable
    >
      <template #day="{ row }">
        <RouterLink :to="linkToDay(row.technician, row.day)">{{ sayDay(row.day) }}</RouterLink>
      </template>
    </DataTable>
  </template>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 8px 16px;
}
</style>
