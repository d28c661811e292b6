<script setup lang="ts">
import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import { formatDay, weekOf } from '@wergon/core/time';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ApprovalsJson } from '@wergon/contract/approval';
import { awaitsApproval, isException } from '@wergon/core/approval';
import { callRoute, sayDate, sayDay, useDays, useDesk, useAct } from '../kit/index.ts';
import { DeskFrame, QueryState, ReconcileTabs } from '../kit/parts/index.ts';
import { DepartmentFilter, useDepartments } from '../people/index.ts';
import ApprovalCell from './ApprovalCell.vue';

type Person = ApprovalsJson['people'][number];
type Day = Person['days'][number];

const desk = useDesk();
const search = ref('');
const { act, problem, isBusy } = useAct();
const { firstDay: monday, lastDay: sunday, days, asked, steps } = useDays('calendar week');
const query = useQuery({
  queryKey: ['approvals', asked],
  queryFn: () => callRoute('approvals', { query: asked.value }),
  placeholderData: keepPreviousData,
});

const { department, departments, isChosen } = useDepartments(() => query.data.value?.people ?? []);
const people = computed(() => {
  const words = search.value.trim().toLowerCase();
  const exceptions = ({ days: own }: Person) => own.filter(isException).length;
  return (query.data.value?.people ?? [])
    .filter(
      (person) => isChosen(person) && `${person.name} ${person.department}`.toLowerCase().includes(words),
    )
    .sort((a, b) => exceptions(b) - exceptions(a) || a.name.localeCompare(b.name));
});
const toApprove = (list: readonly Person[], isFit: (day: Day) => boolean) =>
  list.flatMap(({ technician, refusal, days: own }) =>
    refusal === null
      ? own
          .filter((day) => awaitsApproval(day) && isFit(day))
          .map(({ day, stamp }) => ({ technician, day, stamp }))
      : [],
  );
const plain = computed(() => toApprove(people.value, (day) => !isException(day)));
const counts = computed(() => {
  const all = people.value.flatMap(({ days: own }) => own);
  return {
    waiting: all.filter(awaitsApproval).length,
    exceptions: all.filter(isException).length,
    approved: all.filter(({ state }) => state === 'approved').length,
    changed: all.filter(({ state }) => state === 'changed').length,
    running: all.filter(({ isOpen }) => isOpen).length,
  };
});
/** The days that were approved last, in one press: they are taken back in one. */
type PersonDay = { readonly technician: TechnicianId; readonly day: LocalDay };
const approved = ref<readonly PersonDay[]>([]);
const write = <T extends PersonDay>(list: readonly T[]) =>
  list.map((each) => ({ ...each, day: formatDay(each.day) }));
async function approve(list: readonly (PersonDay & { readonly stamp: string })[]): Promise<void> {
  if (list.length === 0) return;
  const done = await act(() => callRoute('approve', { body: { days: write(list) } }));
  if (done !== undefined) approved.value = list.map(({ technician, day }) => ({ technician, day }));
}
async function unapprove(list: readonly PersonDay[]): Promise<void> {
  const done = await act(() => callRoute('unapprove', { body: { days: write(list) } }));
  if (done !== undefined) approved.value = [];
}
const sayApproved = (list: readonly PersonDay[]) => {
  const [first] = list;
  const name = people.value.find(({ technician }) => technician === first?.technician)?.name ?? '';
  return list.length === 1 && first ? `${name}, ${sayDate(first.day)}` : `${list.length} days`;
};
const dayOf = (person: Person, day: LocalDay) => person.days.find((each) => each.day === day);
const REFUSALS = {
  own: 'your own time: somebody else approves it',
  'other-department': 'not one of your people',
  right: 'you see it, others approve it',
} as const;
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="`Week ${weekOf(monday)}`"
    step="week"
    today="now"
    search-label="Person, department"
    class="approve"
    v-on="steps"
  >
    <template #ruler>
      <p class="span"><b>Approve</b> {{ sayDay(monday) }} to {{ sayDay(sunday) }}, by shift start</p>
    </template>
    <ReconcileTabs />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p v-if="query.data.value.approval === 'none'" class="told">
        This shop asks for no approval: all time goes to pay. Settings say so.
      </p>
      <p class="counts">
        <span
          ><b>{{ counts.waiting }}</b> to approve</span
        >
        <span :class="{ attention: counts.exceptions > 0 }"
          ><b>{{ counts.exceptions }}</b> to look at first</span
        >
        <span
          ><b>{{ counts.approved }}</b> approved</span
        >
        <span v-if="counts.changed > 0" class="attention"
          ><b>{{ counts.changed }}</b> changed since</span
        >
        <span v-if="counts.running > 0"
          ><b>{{ counts.running }}</b> in progress</span
        >
        <DepartmentFilter v-model="department" :departments="departments" />
        <BButton
          v-if="desk.may('time.approve')"
          variant="primary"
          size="sm"
          class="all"
          :disabled="isBusy || query.isPlaceholderData.value || plain.length === 0"
          @click="approve(plain)"
        >
          Approve {{ plain.length }} clean {{ plain.length === 1 ? 'day' : 'days' }}
        </BButton>
      </p>
      <p v-if="problem" class="told attention" role="alert">{{ problem }}</p>
      <p v-else-if="approved.length > 0" class="told done" role="status">
        {{ sayApproved(approved) }} approved.
        <BButton size="sm" variant="quiet" :disabled="isBusy" @click="unapprove(approved)">Undo</BButton>
      </p>
      <table class="across">
        <thead>
          <tr>
            <th scope="col">Person</th>
            <th v-for="day in days" :key="day" scope="col">{{ sayDate(day) }}</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in people" :key="person.technician">
            <th scope="row">
              <RouterLink :to="{ name: 'week', params: { technician: person.technician, day: days[0] } }">{{
                person.name
              }}</RouterLink>
              <small>{{ person.refusal ? REFUSALS[person.refusal] : person.department }}</small>
            </th>
            <td v-for="day in days" :key="day" class="cell">
              <ApprovalCell
                v-if="dayOf(person, day)"
                :person="person"
                :day="dayOf(person, day)!"
                :is-busy="isBusy"
                :is-exception="isException(dayOf(person, day)!)"
                @approve="approve([{ technician: person.technician, day, stamp: $event }])"
                @unapprove="unapprove([{ technician: person.technician, day }])"
              />
            </td>
            <td class="acts-cell">
              <BButton
                v-if="person.refusal === null && toApprove([person], () => true).length > 1"
                variant="quiet"
                size="sm"
                :disabled="isBusy || query.isPlaceholderData.value"
                @click="approve(toApprove([person], () => true))"
              >
                Approve the week
              </BButton>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="people.length === 0" class="none">
        {{ search || department ? 'Nobody matches.' : 'No time recorded in this week.' }}
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.span {
  margin: 0;
  padding: 24px 14px 0;
  font-size: 16px;
}
.all {
  margin-left: auto;
}
.done {
  position: sticky;
  top: 0;
  z-index: 3;
}
.told {
  margin: 0;
  padding: 6px 16px;
  background: var(--band);
}
table {
  table-layout: fixed;
}
th,
td {
  vertical-align: top;
}
thead th:first-child {
  width: var(--col-name);
}
thead td {
  width: 150px;
}
.cell {
  padding: 4px 6px;
  border-left: 1px solid var(--line);
}
.none {
  padding: 12px 16px;
}
</style>
