<script setup lang="ts">
import { computed } from 'vue';
import type { PayPeriodJson } from '@wergon/contract/pay';
import { formatDay } from '@wergon/core/time';
import { isAboveAttended } from '@wergon/core/pay';
import { linkToDay, linkToWeek, sayDate, useDesk } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** A pay period person by person, and the adjustments it takes. */
const props = defineProps<{ period: PayPeriodJson; search: string }>();
const desk = useDesk();
const words = computed(() => props.search.trim().toLowerCase());
const people = computed(() =>
  props.period.people.filter(({ name, department }) =>
    `${name} ${department}`.toLowerCase().includes(words.value),
  ),
);
const longest = computed(() =>
  Math.max(
    1,
    ...props.period.people.flatMap(({ attendedSeconds, chargedSeconds }) => [
      attendedSeconds,
      chargedSeconds,
    ]),
  ),
);
const width = (seconds: number) => `${(seconds / longest.value) * 100}%`;
type Person = PayPeriodJson['people'][number];
const columns = computed((): readonly Column<Person>[] => [
  { id: 'person', title: t('common.person'), sortBy: (person) => person.name, isRowHead: true },
  { id: 'laborOpenNotYetApproved', title: t('pay.laborOpenNotYetApproved'), class: 'wide' },
  {
    id: 'labor',
    sortBy: (person) => person.chargedSeconds,
    title: t('pay.labor'),
    class: 'number figure',
    cellClass: (person) => ({ attention: isAboveAttended(person) }),
  },
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
          sortBy: (person: Person) => Number(person.cost),
          title: desk.costWords,
          class: 'number figure',
          value: (person: Person) => (person.cost === null ? '' : desk.money(person.cost)),
        },
      ]
    : []),
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
  <DataTable
    class="across"
    :rows="people"
    :columns="columns"
    :row-key="(person) => person.technician"
    is-sortable
    ><template #person="{ row: person }"
      ><RouterLink :to="cardOf(person)">{{ person.name }}</RouterLink>
      <small>{{ person.department }}</small></template
    >
    <template #laborOpenNotYetApproved="{ row: person }"
      ><span class="bar" :style="{ width: width(person.chargedSeconds) }" aria-hidden="true"
        ><i
          :style="{
            width: `${person.chargedSeconds === 0 ? 0 : (person.unapprovedSeconds / person.chargedSeconds) * 100}%`,
          }"
        ></i></span
    ></template>
    <template #labor="{ row: person }"
      >{{ desk.hours(person.chargedSeconds) }}
      <RouterLink
        v-if="isAboveAttended(person)"
        :to="linkToWeek(person.technician, period.firstDay)"
        class="above"
        >{{
          t('pay.aboveAttended', { hours: desk.hours(person.chargedSeconds - person.attendedSeconds) })
        }}</RouterLink
      ></template
    >
    <template #notApproved="{ row: person }"
      >{{ person.unapprovedSeconds > 0 ? desk.hours(person.unapprovedSeconds) : '' }}
      <small v-if="person.openDays.length > 0">{{
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
  </section>
</template>

<style scoped>
.across :deep(tbody th) {
  width: var(--col-name);
}
.across :deep(.attention small) {
  color: var(--attention);
}
.across :deep(.wide) {
  width: 36%;
}
.bar {
  position: relative;
  display: block;
  height: 14px;
  background: var(--bar);
}
i {
  position: absolute;
  inset: 1px 1px 1px auto;
  background: var(--bar-open);
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
