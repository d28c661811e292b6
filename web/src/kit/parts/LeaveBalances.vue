<script setup lang="ts">
import type { ResponseOf } from '@wergon/contract/routes';
import { sayTerm, t } from '../../words/index.ts';
import type { Column } from '../tables.ts';
import { useDesk } from '../useDesk.ts';
import { computed } from 'vue';
import DataTable from './DataTable.vue';

/** Hours that somebody may be away in a year, by kind: allowed, had, still to come, left. */
const props = defineProps<{ year: number; balances: ResponseOf<'leaveBalances'>['balances'] }>();
const desk = useDesk();
type Balance = (typeof props.balances)[number];
const hours = (seconds: number | null) => (seconds === null ? '' : desk.hours(seconds));
const figure = 'figure number';
const columns = computed((): readonly Column<Balance>[] => [
  { id: 'kind', title: String(props.year), isRowHead: true, value: ({ kind }) => sayTerm('absences', kind) },
  { id: 'allowed', title: t('kit.allowed'), class: figure, value: ({ allowed }) => hours(allowed) },
  { id: 'taken', title: t('kit.takenSoFar'), class: figure, value: ({ taken }) => hours(taken) },
  { id: 'ahead', title: t('kit.stillToCome'), class: figure, value: ({ ahead }) => hours(ahead) },
  {
    id: 'left',
    title: t('kit.leftOver'),
    class: figure,
    cellClass: ({ left }) => ({ attention: left !== null && left < 0 }),
    value: ({ left }) => hours(left),
  },
]);
</script>

<template>
  <DataTable class="across balances" :rows="balances" :columns="columns" :row-key="({ kind }) => kind" />
</template>

<style scoped>
.balances {
  max-width: 640px;
}
</style>
