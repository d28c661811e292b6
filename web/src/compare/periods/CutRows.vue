<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import type { CutField } from '@wergon/core/compare';
import type { CutRow, CutSpec } from '@wergon/contract/compare';
import { parseDay } from '@wergon/core/time';
import { callRoute, linkToDay } from '../../kit/index.ts';
import { QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import CutLine from './CutLine.vue';
import { sayKey } from './cutWords.ts';

/** The groups of one level of a cut, each of which opens into the next; the last leads to the order or the day. */
const props = defineProps<{
  cut: CutSpec;
  asked: { readonly from: string; readonly to: string };
  path: readonly string[];
  /** The longest of the first level, that bars are drawn against. */
  longest: number;
  /** Whether there are columns for what whole tasks were to take. */
  hasTasks: boolean;
}>();
const emit = defineEmits<{ only: [field: CutField, key: string, name: string] }>();
const query = useQuery({
  queryKey: ['cut', computed(() => ({ ...props.asked, cut: props.cut, path: props.path }))],
  queryFn: () =>
    callRoute('cut', {
      query: {
        ...props.asked,
        cut: JSON.stringify(props.cut),
        ...(props.path.length === 0 ? {} : { path: JSON.stringify(props.path) }),
      },
    }),
  placeholderData: keepPreviousData,
});
const level = computed(() => props.path.length);
const field = computed((): CutField => props.cut.by[level.value] ?? 'day');
const isLast = computed(() => level.value === props.cut.by.length - 1);
const opened = reactive(new Set<string>());
const keyOf = ({ keys }: CutRow) => keys.at(-1) ?? '';
const nameOf = (row: CutRow) => sayKey(field.value, keyOf(row), row.names.at(-1) ?? '');
const toggle = (key: string) => (opened.has(key) ? opened.delete(key) : opened.add(key));

/** Where the last level leads: to a person's day where both are known, else to the order. */
function linkOf({ keys }: CutRow) {
  const at = (wanted: CutField) => keys[props.cut.by.indexOf(wanted)];
  const day = parseDay(at('day') ?? '');
  const person = at('person');
  if (person && day.ok) return linkToDay(person, day.value);
  const order = at('order');
  return order ? { name: 'order', params: { order } } : undefined;
}
/** Made once, so that lines are not drawn anew for a link that says the same. */
const links = computed(
  () => new Map((query.data.value?.groups ?? []).map((row) => [keyOf(row), linkOf(row)])),
);
</script>

<template>
  <QueryState
    v-if="!query.data.value"
    :is-pending="query.isPending.value"
    :error="query.error.value"
    @retry="query.refetch()"
  />
  <template v-else>
    <template v-for="row in query.data.value.groups" :key="keyOf(row)">
      <CutLine
        :row="row"
        :name="nameOf(row)"
        :level="level"
        :opens="!isLast"
        :is-open="opened.has(keyOf(row))"
        :link="isLast ? links.get(keyOf(row)) : undefined"
        :longest="longest"
        :has-tasks="hasTasks"
        @toggle="toggle(keyOf(row))"
        @only="emit('only', field, keyOf(row), nameOf(row))"
      />
      <CutRows
        v-if="!isLast && opened.has(keyOf(row))"
        :cut="cut"
        :asked="asked"
        :path="[...path, keyOf(row)]"
        :longest="longest"
        :has-tasks="hasTasks"
        @only="(of, key, name) => emit('only', of, key, name)"
      />
    </template>
    <p v-if="query.data.value.moreCount > 0" class="cut-more">
      {{ t('compare.moreGroups', { n: query.data.value.moreCount }) }}
    </p>
  </template>
</template>
