<script setup lang="ts">
import { computed } from 'vue';
import type { CardJson } from '@wergon/contract/attendance';
import { lengthOf, sumSeconds } from '@wergon/core/time';
import { sayAway, sayClock, sayDay, useDesk, linkToDay } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';
import { cardRows } from './cardRows.ts';
import type { CardRow } from './cardRows.ts';

/** A person's card, day by day, on the screen and on paper. */
const props = defineProps<{
  card: CardJson;
  /** Whether each stretch stands there with its times, instead of what it adds up to. */
  hasStretches: boolean;
  /** Whether a day leads to its tape. */
  isLinked?: boolean;
}>();
const desk = useDesk();
const rows = computed(() => cardRows(props.card));
type Stretch = CardJson['days'][number]['shifts'][number];
const clock = (at: Stretch['from']) => (desk.zone ? sayClock(desk.zone, at) : '');
const sayStretch = ({ from, to, isOpen, isTorn }: Stretch) =>
  t('attendance.fromTo', {
    time: clock(from),
    end: isOpen ? t('common.now') : isTorn ? t('attendance.notStopped') : clock(to),
  });
/** A day on which nothing was is left empty. */
const hoursOf = (row: CardRow, seconds: number) =>
  row.kind === 'day' && row.attendedSeconds + row.chargedSeconds === 0 ? '' : desk.hours(seconds);
const notNothing = (seconds: number) => (seconds === 0 ? '' : desk.hours(seconds));
/** A column that stands there only where something of it is. */
const columnIf = (
  of: 'overtimeSeconds' | 'doubleSeconds' | 'plannedSeconds',
  title: string,
): readonly Column<CardRow>[] =>
  props.card[of] === 0
    ? []
    : [{ id: of, title, class: 'figure number spare', value: (row) => notNothing(row[of]) }];
const columns = computed((): readonly Column<CardRow>[] => [
  { id: 'day', title: t('common.dayHead'), isRowHead: true },
  { id: 'shifts', title: t('attendance.inAndOut'), class: 'figure' },
  { id: 'breaks', title: t('attendance.breaks'), class: 'figure number spare' },
  {
    id: 'attended',
    title: t('pay.attended'),
    class: 'figure number',
    value: (row) => hoursOf(row, row.attendedSeconds),
  },
  {
    id: 'charged',
    title: t('attendance.charged'),
    class: 'figure number',
    value: (row) => hoursOf(row, row.chargedSeconds),
  },
  ...columnIf('overtimeSeconds', t('payClasses.overtime')),
  ...columnIf('doubleSeconds', t('payClasses.double')),
  ...(props.card.days.some(({ away }) => away.length > 0)
    ? [{ id: 'away', title: t('attendance.away'), class: 'figure number' }]
    : []),
  ...columnIf('plannedSeconds', t('attendance.planned')),
  ...(props.card.plannedSeconds === 0
    ? []
    : [
        {
          id: 'balance',
          title: t('attendance.balance'),
          class: 'figure number spare',
          value: (row: CardRow) => sayBalance(row.balanceSeconds),
        },
      ]),
  { id: 'work', title: t('attendance.onWhat') },
]);
/** More than was planned stands with its sign, as less does. */
const sayBalance = (seconds: number) => (seconds > 0 ? `+${desk.hours(seconds)}` : notNothing(seconds));
const breakSeconds = (breaks: readonly Stretch[]) =>
  sumSeconds(breaks.map((each) => ({ seconds: lengthOf(each) })));
</script>

<template>
  <p class="counts">
    <span
      ><b class="figure">{{ desk.hours(card.jobSeconds) }}</b> {{ t('attendance.onJobs') }}</span
    >
    <span v-if="card.chargedSeconds > card.jobSeconds"
      ><b class="figure">{{ desk.hours(card.chargedSeconds - card.jobSeconds) }}</b>
      {{ t('attendance.notOnJobs') }}</span
    >
    <span v-if="card.attendedSeconds > card.chargedSeconds"
      ><b class="figure">{{ desk.hours(card.attendedSeconds - card.chargedSeconds) }}</b>
      {{ t('attendance.onNothing') }}</span
    >
    <span v-if="card.awaySeconds > 0"
      ><b class="figure">{{ desk.hours(card.awaySeconds) }}</b> {{ t('attendance.awayWord') }}</span
    >
    <span v-if="card.plannedSeconds > 0" :title="t('attendance.balanceIs')"
      ><b class="figure">{{ sayBalance(card.balanceSeconds) || desk.hours(0) }}</b>
      {{ t('attendance.balanceWord') }}</span
    >
  </p>
  <DataTable
    class="across card-table"
    :rows="rows"
    :columns="columns"
    :row-key="({ key }) => key"
    :row-class="({ kind }) => ({ sum: kind !== 'day' })"
  >
    <template #day="{ row }">
      <template v-if="row.kind === 'all'">{{ t('attendance.all') }}</template>
      <template v-else-if="row.kind === 'week'">{{
        t('attendance.weekOf', { day: sayDay(row.day) })
      }}</template>
      <RouterLink v-else-if="isLinked" :to="linkToDay(card.technician, row.day)">{{
        sayDay(row.day)
      }}</RouterLink>
      <template v-else>{{ sayDay(row.day) }}</template>
    </template>
    <template #shifts="{ row }">
      <template v-if="row.kind === 'day'">
        <div v-for="shift in row.shifts" :key="shift.from" :class="{ attention: shift.isTorn }">
          {{ sayStretch(shift) }}
        </div>
      </template>
    </template>
    <template #breaks="{ row }">
      <template v-if="row.kind === 'day' && row.breaks.length > 0">{{
        desk.hours(breakSeconds(row.breaks))
      }}</template>
    </template>
    <template #away="{ row }">
      <template v-if="row.kind === 'day'">
        <div v-for="each in row.away" :key="each.kind">
          {{ desk.hours(each.seconds) }}
          <small>{{
            each.isPaid ? sayAway(each.kind) : t('attendance.awayUnpaid', { kind: sayAway(each.kind) })
          }}</small>
        </div>
      </template>
      <template v-else>{{ notNothing(row.awaySeconds) }}</template>
    </template>
    <template #work="{ row }">
      <ul v-if="row.kind === 'day' && hasStretches">
        <li v-for="stretch in row.stretches" :key="stretch.from" :class="{ attention: stretch.isTorn }">
          <span class="figure">{{ sayStretch(stretch) }}</span> {{ sayList(stretch.titles) }}
        </li>
      </ul>
      <ul v-else-if="row.kind === 'day'">
        <li v-for="(line, i) in row.lines" :key="i">
          <span class="figure">{{ desk.hours(line.seconds) }}</span>
          {{ line.order ? `${line.order} ${line.title}` : line.title }}
        </li>
      </ul>
    </template>
  </DataTable>
</template>

<style scoped>
.card-table :deep(td),
.card-table :deep(th[scope='row']) {
  vertical-align: top;
}
.card-table :deep(.sum > *) {
  border-top: 1px solid var(--ink);
  font-weight: 700;
}
/* The last column takes what the others leave. */
.card-table :deep(th:last-child) {
  width: 34%;
}
small {
  display: block;
  color: var(--ink-2);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li .figure {
  display: inline-block;
  min-width: 3.6em;
  white-space: nowrap;
}
@media (min-width: 761px) {
  .card-table :deep(td:nth-child(2)) {
    white-space: nowrap;
  }
}
/* On a phone what was done stands before what was planned. */
@media (max-width: 760px) {
  .card-table :deep(.spare) {
    display: none;
  }
}
</style>
