<script setup lang="ts">
import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import { formatDay, weekOf } from '@wergon/core/time';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ApprovalsJson } from '@wergon/contract/approval';
import { awaitsApproval, isException } from '@wergon/core/approval';
import { callRoute, sayDate, sayDay, useDays, useDesk, useAct, linkToWeek } from '../kit/index.ts';
import { DeskFrame, QueryState, ReconcileTabs, DataTable } from '../kit/parts/index.ts';
import { DepartmentFilter, useDepartments } from '../people/index.ts';
import ApprovalCell from './ApprovalCell.vue';
import { t } from '../words/index.ts';
import type { Column } from '../kit/index.ts';

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
  return list.length === 1 && first ? `${name}, ${sayDate(first.day)}` : t('common.days', { n: list.length });
};
const dayOf = (person: Person, day: LocalDay) => person.days.find((each) => each.day === day);
const REFUSALS = {
  own: t('approval.yourOwnTimeSomebodyElseApproves'),
  'other-department': t('approval.notOneOfYourPeople'),
  right: t('approval.youSeeItOthersApproveIt'),
} as const;
const columns = computed((): readonly Column<(typeof people.value)[number]>[] => [
  { id: 'person', title: t('common.person'), isRowHead: true },
  ...days.value.map((day) => ({ id: `day-${day}`, title: sayDate(day), class: 'cell' })),
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="t('common.week', { week: weekOf(monday) })"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    :search-label="t('kit.findPersonDepartment')"
    class="approve"
    v-on="steps"
  >
    <template #ruler>
      <p class="span">
        <b>{{ t('common.approve') }}</b>
        {{ t('approval.toByShiftStart', { day: sayDay(monday), day2: sayDay(sunday) }) }}
      </p>
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
        {{ t('approval.thisShopAsksForNoApprovalAll') }}
      </p>
      <p class="counts">
        <span
          ><b>{{ counts.waiting }}</b> {{ t('approval.toApprove') }}</span
        >
        <span :class="{ attention: counts.exceptions > 0 }"
          ><b>{{ counts.exceptions }}</b> {{ t('approval.toLookAtFirst') }}</span
        >
        <span
          ><b>{{ counts.approved }}</b> {{ t('approval.approved') }}</span
        >
        <span v-if="counts.changed > 0" class="attention"
          ><b>{{ counts.changed }}</b> {{ t('approval.changedSince') }}</span
        >
        <span v-if="counts.running > 0"
          ><b>{{ counts.running }}</b> {{ t('common.inProgress') }}</span
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
          {{ t('approval.approveClean', { n: plain.length }) }}
        </BButton>
      </p>
      <p v-if="problem" class="told attention" role="alert">{{ problem }}</p>
      <p v-else-if="approved.length > 0" class="told done" role="status">
        {{ t('approval.wasApproved', { days: sayApproved(approved) }) }}
        <BButton size="sm" variant="quiet" :disabled="isBusy" @click="unapprove(approved)">{{
          t('common.undo')
        }}</BButton>
      </p>
      <DataTable class="across" :rows="people" :columns="columns" :row-key="(person) => person.technician">
        <template #person="{ row: person }">
          <RouterLink :to="linkToWeek(person.technician, days[0])">{{ person.name }}</RouterLink>
          <small>{{ person.refusal ? REFUSALS[person.refusal] : person.department }}</small>
        </template>
        <template v-for="day in days" :key="day" #[`day-${day}`]="{ row: person }">
          <ApprovalCell
            v-if="dayOf(person, day)"
            :person="person"
            :day="dayOf(person, day)!"
            :is-busy="isBusy"
            :is-exception="isException(dayOf(person, day)!)"
            @approve="approve([{ technician: person.technician, day, stamp: $event }])"
            @unapprove="unapprove([{ technician: person.technician, day }])"
          />
        </template>
        <template #acts="{ row: person }">
          <BButton
            v-if="person.refusal === null && toApprove([person], () => true).length > 1"
            variant="quiet"
            size="sm"
            :disabled="isBusy || query.isPlaceholderData.value"
            @click="approve(toApprove([person], () => true))"
          >
            {{ t('approval.approveTheWeek') }}
          </BButton>
        </template>
      </DataTable>
      <p v-if="people.length === 0" class="none">
        {{ search || department ? t('common.nobodyMatches') : t('approval.noTimeRecordedInThisWeek') }}
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.span {
  margin: 0;
  padding: 24px 14px 0;
  font-size: var(--text-l);
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
table :deep(th),
table :deep(td) {
  vertical-align: top;
}
table :deep(thead th:first-child) {
  width: var(--col-name);
}
table :deep(thead td) {
  width: 150px;
}
table :deep(td.cell) {
  padding: 4px 6px;
  border-left: 1px solid var(--line);
}
.none {
  padding: 12px 16px;
}
</style>
