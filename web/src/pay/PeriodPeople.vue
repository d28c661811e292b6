<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import type { PayPeriodJson } from '@wergon/contract/pay';
import { formatDay } from '@wergon/core/time';
import { PAY_CLASSES, isAboveAttended } from '@wergon/core/pay';
import { linkToDay, linkToWeek, sayDate, useDesk, sayAway } from '../kit/index.ts';
import { DataTable, PlainButton } from '../kit/parts/index.ts';
import PayBar from './PayBar.vue';
import SplitPanel from './SplitPanel.vue';
import { awaySeconds, longestOf } from './payBar.ts';
import { periodRows } from './periodRows.ts';
import type { PeriodGroup, PeriodRow } from './periodRows.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** A pay period person by person, and the adjustments it takes. */
const props = defineProps<{
  period: PayPeriodJson;
  search: string;
  /** Whose days are looked at from the start; empty for nobody's. */
  opens: string;
}>();
const desk = useDesk();
const words = computed(() => props.search.trim().toLowerCase());
const group = ref<PeriodGroup | ''>('');
const people = computed(() =>
  props.period.people.filter(({ name, department }) =>
    `${name} ${department}`.toLowerCase().includes(words.value),
  ),
);
const rows = computed(() => periodRows(people.value, group.value));
const longest = computed(() => longestOf(props.period.people));
/** Whose days are looked at, day by day. */
const opened = reactive(new Set<string>([props.opens]));
const toggle = (id: string) => (opened.has(id) ? opened.delete(id) : opened.add(id));
type Person = PayPeriodJson['people'][number];
const hoursOf = (seconds: number) => (seconds === 0 ? '' : desk.hours(seconds));
/** A class that nobody has has no column. */
const classColumn = (of: 'overtime' | 'double'): readonly Column<PeriodRow>[] =>
  props.period.totals.classes[of] > 0
    ? [
        {
          id: of,
          title: t(`payClasses.${of}`),
          class: 'number figure',
          sortBy: (person) => person.classes[of],
          value: (person) => hoursOf(person.classes[of]),
        },
      ]
    : [];
const columns = computed((): readonly Column<PeriodRow>[] => [
  { id: 'person', title: t('common.person'), sortBy: (person) => person.name, isRowHead: true },
  { id: 'bar', title: t('pay.howItIsPaid'), class: 'wide' },
  {
    id: 'straight',
    sortBy: (person) => person.classes.straight,
    title: t('payClasses.straight'),
    class: 'number figure',
    cellClass: ({ person }) => ({ attention: person !== undefined && isAboveAttended(person) }),
  },
  ...classColumn('overtime'),
  ...classColumn('double'),
  ...(props.period.totals.classes.unallocated > 0
    ? [
        {
          id: 'unallocated',
          title: t('pay.onNothing'),
          class: 'number figure',
          sortBy: (person: PeriodRow) => person.classes.unallocated,
          value: (person: PeriodRow) => hoursOf(person.classes.unallocated),
        },
      ]
    : []),
  ...(props.period.totals.awaySeconds > 0
    ? [{ id: 'away', title: t('pay.away'), class: 'number figure', sortBy: awaySeconds }]
    : []),
  {
    id: 'attended',
    sortBy: (person) => person.attendedSeconds,
    title: t('pay.attended'),
    class: 'number figure',
    value: (person) => desk.hours(person.attendedSeconds),
  },
  {
    id: 'notApproved',
    sortBy: (person) => person.unapprovedSeconds,
    title: t('common.notApproved'),
    class: 'number figure',
    cellClass: (person) => ({ attention: person.unapprovedSeconds > 0 }),
  },
  ...(props.period.totals.cost !== null
    ? [
        {
          id: 'cost',
          sortBy: (person: PeriodRow) => Number(person.cost),
          title: desk.costWords,
          class: 'number figure',
          value: (person: PeriodRow) => (person.cost === null ? '' : desk.money(person.cost)),
        },
      ]
    : []),
]);
const signed = (seconds: number) => (seconds === 0 ? '' : desk.hours(seconds));
const classAdjustmentColumns = computed((): readonly Column<PayPeriodJson['classAdjustments'][number]>[] => [
  { id: 'name', title: t('common.person'), isRowHead: true, value: (each) => each.name },
  { id: 'day', title: t('common.day') },
  ...PAY_CLASSES.map((of) => ({
    id: of,
    title: t(`payClasses.${of}`),
    class: 'number figure',
    value: ({ classes }: PayPeriodJson['classAdjustments'][number]) => signed(classes[of]),
  })),
]);
/** A person's card of the period. */
const cardOf = ({ technician }: Person) => ({
  name: 'card',
  params: { technician },
  query: { from: formatDay(props.period.firstDay), to: formatDay(props.period.lastDay) },
});
const adjustmentColumns = computed((): readonly Column<PayPeriodJson['adjustments'][number]>[] => [
  { id: 'name', isRowHead: true, value: (each) => each.name },
  { id: 'day', value: (each) => sayDate(each.shiftDay) },
  { id: 'work' },
  { id: 'hours', class: 'figure number', value: (each) => desk.hours(each.seconds) },
  { id: 'money', class: 'figure number', value: (each) => (each.cost === null ? '' : desk.money(each.cost)) },
]);
</script>

<template>
  <p class="grouped">
    <BFormSelect v-model="group" size="sm" :aria-label="t('pay.groupedBy')">
      <option value="">{{ t('pay.notGrouped') }}</option>
      <option value="department">{{ t('pay.byDepartment') }}</option>
      <option value="payGroup">{{ t('pay.byPayGroup') }}</option>
    </BFormSelect>
  </p>
  <DataTable
    class="across"
    :rows="rows"
    :columns="columns"
    :row-key="({ key }) => key"
    :row-class="({ person }) => (person ? '' : 'group')"
    :is-expanded="({ person }) => person !== undefined && opened.has(person.technician)"
    :is-sortable="group === ''"
    ><template #person="{ row: { name, person } }"
      ><template v-if="person"
        ><RouterLink :to="cardOf(person)">{{ name }}</RouterLink>
        <small>{{ [person.department, person.payGroup].filter(Boolean).join(' · ') }}</small></template
      ><template v-else>{{ name }}</template></template
    >
    <template #bar="{ row: { person } }"
      ><template v-if="person"
        ><PayBar :person="person" :longest="longest" />
        <PlainButton
          v-if="person.split.length > 0"
          class="days"
          :aria-expanded="opened.has(person.technician)"
          @click="toggle(person.technician)"
          >{{ t('pay.daysNotAllStraight', { n: person.split.length }) }}</PlainButton
        ></template
      ></template
    >
    <template #away="{ row }"
      >{{ hoursOf(awaySeconds(row)) }}
      <small v-for="each in row.away" :key="each.kind">{{ sayAway(each.kind) }}</small></template
    >
    <template #expanded="{ row: { person } }"
      ><template v-if="person"
        ><SplitPanel
          v-for="each in person.split"
          :key="each.day"
          :technician="person.technician"
          :name="person.name"
          :day="each.day" /></template
    ></template>
    <template #straight="{ row: { classes, person } }"
      >{{ desk.hours(classes.straight) }}
      <RouterLink
        v-if="person && isAboveAttended(person)"
        :to="linkToWeek(person.technician, period.firstDay)"
        class="above"
        >{{
          t('pay.aboveAttended', { hours: desk.hours(person.chargedSeconds - person.attendedSeconds) })
        }}</RouterLink
      ></template
    >
    <template #notApproved="{ row: { person, unapprovedSeconds } }"
      >{{ unapprovedSeconds > 0 ? desk.hours(unapprovedSeconds) : '' }}
      <small v-if="person && person.openDays.length > 0">{{
        person.openDays.length > 3
          ? t('common.days', { n: person.openDays.length })
          : person.openDays.map((day) => sayDate(day)).join(', ')
      }}</small></template
    ></DataTable
  >
  <p v-if="people.length === 0" class="none">
    {{ search ? t('common.nobodyMatches') : t('pay.noTimeRecordedInThisPeriod') }}
  </p>
  <section v-if="period.adjustments.length > 0" :aria-label="t('pay.adjustments')">
    <h2 class="list-head">{{ t('pay.adjustmentsToClosedPeriods') }}</h2>
    <DataTable
      class="across"
      :rows="period.adjustments"
      :columns="adjustmentColumns"
      :row-key="(_each, i) => i"
      ><template #day="{ row: each }"
        ><RouterLink :to="linkToDay(each.technician, each.shiftDay)">{{
          sayDate(each.shiftDay)
        }}</RouterLink></template
      ><template #work="{ row: each }"
        >{{ each.title }}
        <span v-if="each.workType !== 'run'" class="quiet">{{
          t(`workTypes.${each.workType}`)
        }}</span></template
      ></DataTable
    >
    <DataTable
      v-if="period.classAdjustments.length > 0"
      class="across"
      :rows="period.classAdjustments"
      :columns="classAdjustmentColumns"
      :row-key="(_each, i) => i"
      ><template #day="{ row: each }"
        ><RouterLink :to="linkToDay(each.technician, each.day)">{{ sayDate(each.day) }}</RouterLink></template
      ></DataTable
    >
  </section>
</template>

<style scoped>
.grouped {
  display: flex;
  justify-content: flex-end;
  margin: 0;
  padding: 0 16px 8px;
}
.grouped .form-select {
  width: 180px;
}
.across :deep(.group) {
  background: var(--band);
  font-weight: 700;
}
.across :deep(thead button)::first-letter {
  text-transform: uppercase;
}
.across :deep(tbody th) {
  width: var(--col-name);
}
.across :deep(.attention small) {
  color: var(--attention);
}
.across :deep(.wide) {
  width: 36%;
}
.days {
  margin-top: 5px;
  padding: 0;
  background: none;
  border: 0;
  color: var(--action);
  font-size: var(--text-xs);
  text-decoration: underline;
}
.none {
  padding: 12px 16px;
}
.above {
  display: block;
  color: var(--attention) !important;
  font-size: var(--text-xs);
}
@media (max-width: 900px) {
  .across :deep(.wide) {
    display: none;
  }
}
</style>
