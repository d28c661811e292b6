<script setup lang="ts">
import type { LocalDay } from '@wergon/core/time';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { AccountedJson } from '@wergon/contract/attendance';
import { callRoute, sayDate, sayMonthDay, useDays, useDesk, linkToDay } from '../kit/index.ts';
import { DeskFrame, QueryState, DataTable } from '../kit/parts/index.ts';
import { DepartmentFilter, useDepartments } from '../people/index.ts';
import { t } from '../words/index.ts';
import type { Column } from '../kit/index.ts';

/** Hours per person and day: what each was on, and how much of it on jobs, against the billed hours expected of them. */
const desk = useDesk();
const search = ref('');
const { firstDay, lastDay, days, asked, steps } = useDays('calendar week');
const query = useQuery({
  queryKey: ['accounted', asked],
  queryFn: () => callRoute('accounted', { query: asked.value }),
  placeholderData: keepPreviousData,
  refetchInterval: 60_000,
});
type Person = AccountedJson['people'][number];
const { department, departments, isChosen } = useDepartments(() => query.data.value?.people ?? []);
const people = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (query.data.value?.people ?? [])
    .filter(
      (person) => isChosen(person) && `${person.name} ${person.department}`.toLowerCase().includes(words),
    )
    .sort((a, b) => a.department.localeCompare(b.department) || a.name.localeCompare(b.name));
});
const totals = computed(() => {
  const sum = (of: (person: Person) => number) => people.value.reduce((total, each) => total + of(each), 0);
  return {
    jobs: sum(({ jobSeconds }) => jobSeconds),
    indirect: sum(({ indirectSeconds }) => indirectSeconds),
    unapproved: sum(({ unapprovedSeconds }) => unapprovedSeconds),
    expected: sum((person) => person.days.reduce((own, { expectedSeconds }) => own + expectedSeconds, 0)),
  };
});
const dayOf = (person: Person, day: LocalDay) => person.days.find((each) => each.day === day);
const longest = computed(() =>
  Math.max(
    8 * 3600,
    ...people.value.flatMap((person) => person.days.map(({ chargedSeconds }) => chargedSeconds)),
  ),
);
const width = (seconds: number) => `${(seconds / longest.value) * 100}%`;
const columns = computed((): readonly Column<(typeof people.value)[number]>[] => [
  { id: 'person', title: t('common.person'), isRowHead: true, sortBy: ({ name }) => name },
  ...days.value.map((day) => ({ id: `day-${day}`, title: sayDate(day) })),
  {
    id: 'all',
    title: t('attendance.allDays'),
    class: 'figure number',
    value: ({ jobSeconds, indirectSeconds }) => desk.hours(jobSeconds + indirectSeconds),
    sortBy: ({ jobSeconds, indirectSeconds }) => jobSeconds + indirectSeconds,
  },
  {
    id: 'notApproved',
    title: t('common.notApproved'),
    class: 'figure number',
    value: ({ unapprovedSeconds }) => (unapprovedSeconds > 0 ? desk.hours(unapprovedSeconds) : ''),
    sortBy: ({ unapprovedSeconds }) => unapprovedSeconds,
  },
]);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('attendance.darkOnJobsGreyIndirectTheNotch')"
    :title="t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) })"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    :search-label="t('kit.findPersonDepartment')"
    v-on="steps"
  >
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span
          ><b class="figure">{{ desk.hours(totals.jobs) }}</b> {{ t('attendance.onJobs') }}</span
        >
        <span v-if="totals.expected > 0"
          >{{ t('common.of') }} <b class="figure">{{ desk.hours(totals.expected) }}</b>
          {{ t('attendance.billedHoursExpected') }}</span
        >
        <span
          ><b class="figure">{{ desk.hours(totals.indirect) }}</b> {{ t('common.indirect') }}</span
        >
        <span v-if="totals.unapproved > 0"
          ><b class="figure">{{ desk.hours(totals.unapproved) }}</b> {{ t('common.notYetApproved') }}</span
        >
        <DepartmentFilter v-model="department" :departments="departments" />
        <RouterLink :to="{ name: 'floor' }" class="live">{{ t('attendance.liveFloor') }}</RouterLink>
      </p>
      <DataTable
        class="across days"
        :rows="people"
        :columns="columns"
        :row-key="(person) => person.technician"
        is-sortable
      >
        <template #person="{ row: person }"
          >{{ person.name }} <small>{{ person.department }}</small></template
        >
        <template v-for="day in days" :key="day" #[`day-${day}`]="{ row: person }">
          <RouterLink
            v-if="dayOf(person, day)"
            :to="desk.may('reconcile.see') ? linkToDay(person.technician, day) : { name: 'floor' }"
            class="figure"
            :aria-label="
              t('attendance.ofItOnJobs', {
                name: person.name,
                day: sayDate(day),
                hours: desk.hours(dayOf(person, day)!.chargedSeconds),
                hours2: desk.hours(dayOf(person, day)!.jobSeconds),
              })
            "
          >
            {{ desk.hours(dayOf(person, day)!.chargedSeconds) }}
            <span class="bar" aria-hidden="true">
              <i class="all" :style="{ width: width(dayOf(person, day)!.chargedSeconds) }"></i>
              <i class="jobs" :style="{ width: width(dayOf(person, day)!.jobSeconds) }"></i>
              <i
                v-if="dayOf(person, day)!.expectedSeconds > 0"
                class="notch"
                :style="{ left: width(dayOf(person, day)!.expectedSeconds) }"
              ></i>
            </span>
          </RouterLink>
        </template>
      </DataTable>
      <p v-if="people.length === 0" class="none">
        {{ search || department ? t('common.nobodyMatches') : t('attendance.noTimeRecordedInTheseDays') }}
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 12px 16px;
}
.live {
  margin-left: auto;
}
table :deep(td small) {
  display: block;
}
table {
  table-layout: fixed;
}
table :deep(thead th:first-child) {
  width: 210px;
}
table :deep(td a) {
  display: block;
  text-decoration: none;
}
.bar {
  position: relative;
  display: block;
  height: 9px;
  background: var(--bar-open);
}
i {
  position: absolute;
  top: 0;
  bottom: 0;
  left: 0;
}
.all {
  background: var(--indirect);
}
.jobs {
  background: var(--bar);
}
.notch {
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--ink);
}
</style>
