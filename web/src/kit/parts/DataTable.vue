<script setup lang="ts" generic="Row extends object">
import { createSortedRowModel, rowSortingFeature, tableFeatures, useTable } from '@tanstack/vue-table';
import { computed, toRef } from 'vue';
import { compareCells } from '../tables.ts';
import type { Classes, Column } from '../tables.ts';
import PlainButton from './PlainButton.vue';

/** A list: one row a thing, with headings that put it in order and rows that open. A slot of a column's id draws its
 *  cells, `expanded` what stands below an opened row, `foot` what stands below them all. */
const props = withDefaults(
  defineProps<{
    rows: readonly Row[];
    columns: readonly Column<Row>[];
    rowKey: (row: Row, place: number) => string | number;
    rowClass?: (row: Row) => Classes;
    isExpanded?: (row: Row) => boolean;
    /** Whether headings put the rows in order; they stand as they come until one is pressed. */
    isSortable?: boolean;
  }>(),
  { rowClass: () => undefined, isExpanded: () => false, isSortable: false },
);
defineSlots<
  { caption?: () => unknown; foot?: () => unknown; expanded?: (scope: { row: Row }) => unknown } & Readonly<
    Record<string, (scope: { row: Row }) => unknown>
  >
>();

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() });
const columnsById = computed(() => new Map(props.columns.map((column) => [column.id, column])));
const table = useTable<typeof features, Row>({
  features,
  data: toRef(props, 'rows'),
  columns: computed(() =>
    props.columns.map(({ id, value, sortBy = value }) => ({
      id,
      // What is empty comes last in either order.
      accessorFn: (row: Row) => {
        const cell = sortBy?.(row);
        return cell === '' || cell === null ? undefined : cell;
      },
      sortUndefined: 'last' as const,
      enableSorting: props.isSortable && sortBy !== undefined,
      sortFn: (a: { original: Row }, b: { original: Row }) =>
        compareCells(sortBy?.(a.original), sortBy?.(b.original)),
    })),
  ),
  getRowId: (row, place) => String(props.rowKey(row, place)),
});
/** Figures and codes have letters of their own; their heading has not. */
const headClass = (own = '') => own.split(' ').filter((name) => name !== 'figure' && name !== 'mono');
const hasHead = computed(() => props.columns.some(({ title }) => title !== undefined));
const SORTED = { asc: 'ascending', desc: 'descending' } as const;
const sortedOf = (id: string) => {
  const sorted = table.getColumn(id)?.getIsSorted();
  return sorted ? SORTED[sorted] : undefined;
};
</script>

<template>
  <table>
    <caption v-if="$slots['caption']">
      <slot name="caption" />
    </caption>
    <thead v-if="hasHead">
      <tr>
        <component
          :is="column.title === undefined ? 'td' : 'th'"
          v-for="column in columns"
          :key="column.id"
          :scope="column.title === undefined ? undefined : 'col'"
          :class="headClass(column.class)"
          :aria-sort="sortedOf(column.id)"
        >
          <PlainButton
            v-if="table.getColumn(column.id)?.getCanSort()"
            class="sort"
            @click="table.getColumn(column.id)?.toggleSorting()"
            >{{ column.title }}
            <span aria-hidden="true">{{
              { ascending: '▴', descending: '▾', none: '' }[sortedOf(column.id) ?? 'none']
            }}</span></PlainButton
          >
          <template v-else>{{ column.title }}</template>
        </component>
      </tr>
    </thead>
    <tbody>
      <template v-for="{ id: key, original: row } in table.getRowModel().rows" :key="key">
        <tr :class="rowClass(row)">
          <component
            :is="columnsById.get(id)?.isRowHead ? 'th' : 'td'"
            v-for="{ id, class: own, value, cellClass, isRowHead } in columns"
            :key="id"
            :scope="isRowHead ? 'row' : undefined"
            :class="[own, cellClass?.(row)]"
          >
            <slot :name="id" :row="row">{{ value?.(row) }}</slot>
          </component>
        </tr>
        <tr v-if="isExpanded(row)">
          <td :colspan="columns.length" class="expanded"><slot name="expanded" :row="row" /></td>
        </tr>
      </template>
    </tbody>
    <tfoot v-if="$slots['foot']">
      <slot name="foot" />
    </tfoot>
  </table>
</template>

<style scoped>
.sort {
  padding: 0;
  background: none;
  border: 0;
  color: inherit;
  font: inherit;
  white-space: nowrap;
}
.sort:hover {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
