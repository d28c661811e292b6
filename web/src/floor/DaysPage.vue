<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { AccountedJson } from '@wergon/contract/reconcile';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute } from '../desk/callRoute.ts';
import { sayDate, sayDay } from '../desk/dates.ts';
import DeskFrame from '../desk/DeskFrame.vue';
import QueryState from '../desk/QueryState.vue';
import { useDesk } from '../desk/useDesk.ts';
import { useNow } from '../desk/useNow.ts';

/** Hours per person and day: what each was on, and how much of it on jobs, against the billed hours expected of him. */
const DAYS = 7;
const desk = useDesk();
const now = useNow();
const search = ref('');
const shift = ref(0);
const lastDay = computed(() => ((desk.zone?.dayAt(now.value) ?? 0) + shift.value) as LocalDay);
const firstDay = computed(() => (lastDay.value - DAYS + 1) as LocalDay);
const days = computed(() =>
  Array.from({ length: DAYS }, (_, i) => formatDay((firstDay.value + i) as LocalDay)),
);
const query = useQuery({
  queryKey: ['accounted', firstDay, lastDay],
  queryFn: () =>
    callRoute('accounted', { query: { from: formatDay(firstDay.value), to: formatDay(lastDay.value) } }),
  placeholderData: keepPreviousData,
  refetchInterval: 60_000,
});
type Person = AccountedJson['people'][number];
const people = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (query.data.value?.people ?? [])
    .filter(({ name, department }) => `${name} ${department}`.toLowerCase().includes(words))
    .sort((a, b) => a.department.localeCompare(b.department) || a.name.localeCompare(b.name));
});
const dayOf = (person: Person, day: string) => person.days.find((each) => each.day === day);
const longest = computed(() =>
  Math.max(
    8 * 3600,
    ...people.value.flatMap((person) => person.days.map(({ chargedSeconds }) => chargedSeconds)),
  ),
);
const width = (seconds: number) => `${(seconds / longest.value) * 100}%`;
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="`${sayDay(firstDay).slice(4)} to ${sayDay(lastDay).slice(4)}`"
    step="week"
    today="today"
    search-label="Person, department"
    @back="shift -= DAYS"
    @on="shift = Math.min(0, shift + DAYS)"
    @today="shift = 0"
  >
    <template #ruler>
      <p class="lead">
        Dark: on jobs. Grey: indirect. The notch: the billed hours expected of that person on a planned day.
      </p>
    </template>
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="ways">
        <RouterLink :to="{ name: 'floor' }">The floor, live</RouterLink>
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Person</th>
            <th v-for="day in days" :key="day" scope="col">{{ sayDate(day) }}</th>
            <th scope="col" class="number">All days</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in people" :key="person.technician">
            <th scope="row">
              {{ person.name }} <small>{{ person.department }}</small>
            </th>
            <td v-for="day in days" :key="day">
              <RouterLink
                v-if="dayOf(person, day)"
                :to="
                  desk.may('reconcile.see')
                    ? { name: 'person-day', params: { technician: person.technician, day } }
                    : { name: 'floor' }
                "
                class="figure"
                :aria-label="`${person.name}, ${sayDate(day)}: ${desk.hours(dayOf(person, day)!.chargedSeconds)}, ${desk.hours(dayOf(person, day)!.jobSeconds)} of it on jobs`"
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
            </td>
            <td class="figure number">{{ desk.hours(person.jobSeconds + person.indirectSeconds) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="people.length === 0" class="none">
        {{ search ? 'Nobody of this name.' : 'Nothing is recorded in these days.' }}
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.lead,
.ways,
.none {
  margin: 0;
  padding: 12px 16px;
}
.ways {
  padding: 5px 16px;
  font-size: 14px;
}
.ways a,
td a {
  color: var(--ink);
}
table {
  width: 100%;
  background: var(--sheet);
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  padding: 4px 10px;
  border-bottom: 1px solid var(--line);
  text-align: left;
}
thead th {
  color: var(--ink-2);
  font-size: 13px;
  font-weight: 400;
}
thead th:first-child {
  width: 210px;
}
tbody th {
  font-weight: 400;
}
small {
  display: block;
  color: var(--ink-2);
  font-size: 13px;
}
td a {
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
.number {
  text-align: right;
}
</style>
