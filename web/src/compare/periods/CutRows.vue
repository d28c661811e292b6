<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, reactive } from 'vue';
import { piecesPerRunHour } from '@wergon/core/compare';
import type { CutField } from '@wergon/core/compare';
import type { CutRow, CutSpec } from '@wergon/contract/compare';
import { formatCents } from '@wergon/core/money';
import { parseDay } from '@wergon/core/time';
import { callRoute, linkToDay, useDesk } from '../../kit/index.ts';
import { PlainButton, QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { sayCount, sayNumber } from '../figures.ts';
import { sayHoursMore, sayMoneyMore, sayShare, sayWhy } from '../whyWords.ts';
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
const desk = useDesk();
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

/** Pieces of whole tasks, and how many of them to an hour of run time. */
function sayPieces({ tasks }: CutRow): string {
  if (!tasks?.pieces) return '';
  const rate = piecesPerRunHour(tasks.pieces, tasks.runSeconds);
  const counted = sayCount(tasks.pieces);
  return rate === null ? counted : `${counted}, ${t('compare.anHour', { rate: sayNumber(rate) })}`;
}

/** Where the last level leads: to a person's day where both are known, else to the order. */
function linkOf({ keys }: CutRow) {
  const at = (wanted: CutField) => keys[props.cut.by.indexOf(wanted)];
  const day = parseDay(at('day') ?? '');
  const person = at('person');
  if (person && day.ok) return linkToDay(person, day.value);
  const order = at('order');
  return order ? { name: 'order', params: { order } } : undefined;
}
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
      <div class="cut-line" :class="`level-${level}`">
        <span class="name">
          <PlainButton
            v-if="!isLast"
            class="opens"
            :aria-expanded="opened.has(keyOf(row))"
            @click="toggle(keyOf(row))"
            ><span aria-hidden="true">{{ opened.has(keyOf(row)) ? '▾' : '▸' }}</span>
            {{ nameOf(row) }}</PlainButton
          >
          <RouterLink v-else-if="linkOf(row)" :to="linkOf(row) ?? ''">{{ nameOf(row) }}</RouterLink>
          <template v-else>{{ nameOf(row) }}</template>
          <BButton
            variant="quiet"
            size="sm"
            class="only"
            :aria-label="t('compare.onlyThis', { name: nameOf(row) })"
            @click="emit('only', field, keyOf(row), nameOf(row))"
            >{{ t('compare.only') }}</BButton
          >
          <small v-if="sayPieces(row)">{{ sayPieces(row) }}</small>
        </span>
        <span class="track" aria-hidden="true"
          ><i :style="{ width: `${longest === 0 ? 0 : (row.seconds / longest) * 100}%` }"></i
        ></span>
        <span class="figure">{{ desk.hours(row.seconds) }}</span>
        <span class="figure quiet">{{ sayShare(row.measuredSeconds, row.seconds) }}</span>
        <template v-if="hasTasks">
          <span class="figure">{{ row.tasks ? desk.hours(row.tasks.estimatedSeconds) : '' }}</span>
          <span
            class="figure"
            :class="{ attention: (row.tasks?.difference.differenceSeconds ?? 0) > 0 }"
            :title="row.tasks ? sayWhy(row.tasks.difference.causes, desk) : ''"
            >{{ row.tasks ? sayHoursMore(row.tasks.difference.differenceSeconds, desk) : ''
            }}<small v-if="row.tasks">{{ sayMoneyMore(row.tasks.difference.difference, desk) }}</small></span
          >
        </template>
        <span class="figure"
          >{{ desk.money(formatCents(row.cost))
          }}<small v-if="row.uncostedPieces > 0" class="attention">{{
            t('compare.linesLackARate', { n: row.uncostedPieces })
          }}</small></span
        >
      </div>
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
