<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { JobWeekJson } from '@wergon/contract/timesheet';
import { formatDay, sumSeconds, weekOf } from '@wergon/core/time';
import { callRoute, sayDate, sayDay, useDays, useDesk, linkToDay, linkToWeek } from '../kit/index.ts';
import { DeskFrame, QueryState, ReconcileTabs, DataTable } from '../kit/parts/index.ts';
import { Yardstick, sayBalance, yardstickWords } from '../compare/index.ts';
import { TargetPicker } from '../tape/index.ts';
import LengthField from './LengthField.vue';
import { UndoBar } from '../loose-ends/index.ts';
import { useHours } from './useHours.ts';
import { t } from '../words/index.ts';
import type { Column } from '../kit/index.ts';

const desk = useDesk();
const route = useRoute();
const router = useRouter();
const search = ref('');
const hours = useHours();
const target = computed({
  get: () => String(route.params['target'] ?? ''),
  set: (id: string) => id !== '' && void router.push({ name: 'job-hours', params: { target: id } }),
});
const text = ref('');
const { firstDay: monday, lastDay: sunday, asked, steps } = useDays('calendar week');
const query = useQuery({
  queryKey: ['job-week', target, asked],
  queryFn: () => callRoute('jobWeek', { query: { target: target.value, day: asked.value.from } }),
  enabled: computed(() => target.value !== ''),
  placeholderData: keepPreviousData,
});
/** Where to begin: what people are on now. */
const inWork = useQuery({
  queryKey: ['targets', ''],
  queryFn: () => callRoute('targets', { query: { search: '' } }),
  enabled: computed(() => target.value === ''),
});
/** What stands there is still the week or the job before: nothing is entered into it. */
const isBehind = query.isPlaceholderData;
const week = computed(() => (target.value === '' ? undefined : query.data.value));
watch(
  () => week.value?.title,
  (title) => (text.value = title ?? ''),
);
const people = computed(() => {
  const words = search.value.trim().toLowerCase();
  // Who has time on it this week stands first.
  return (week.value?.people ?? [])
    .filter(({ name, department }) => `${name} ${department}`.toLowerCase().includes(words))
    .sort((a, b) => Number(b.totalSeconds > 0) - Number(a.totalSeconds > 0));
});
const standing = computed(() => {
  const task = week.value?.task;
  return task && { ...task, balance: sayBalance(task.comparison, task.hasEstimate, desk.hoursStyle) };
});
type Person = JobWeekJson['people'][number];
function write(person: Person, cell: Person['cells'][number], seconds: number): void {
  const [first, ...rest] = cell.entered;
  const base = {
    technician: person.technician,
    target: target.value,
    workType: first?.workType ?? 'run',
    day: formatDay(cell.day),
  };
  void hours.enter(
    [
      { ...base, entry: first?.id ?? null, seconds },
      ...rest.map(({ id }) => ({ ...base, entry: id, seconds: 0 })),
    ],
    `${person.name}, ${sayDate(cell.day)}: ${seconds === 0 ? t('common.removed') : desk.hours(seconds)}`,
  );
}
const columns = computed((): readonly Column<(typeof people.value)[number]>[] => [
  { id: 'person', title: t('common.person'), isRowHead: true },
  ...(week.value?.days ?? []).map(({ day }) => ({
    id: `day-${day}`,
    title: sayDate(day),
    class: 'number',
  })),
  {
    id: 'week',
    title: t('timesheet.week'),
    class: 'figure number',
    value: ({ totalSeconds }) => (totalSeconds > 0 ? desk.hours(totalSeconds) : ''),
  },
]);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="t('common.week', { week: weekOf(monday) })"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    :search-label="t('kit.findPersonDepartment')"
    v-on="steps"
  >
    <template #ruler>
      <p class="span">
        <b>{{ week?.title ?? t('timesheet.noJobChosen') }}</b>
        {{ t('common.to', { day: sayDay(monday), day2: sayDay(sunday) }) }}
      </p>
    </template>
    <ReconcileTabs />
    <div class="choose">
      <TargetPicker v-model="target" v-model:text="text" :label="t('timesheet.taskOrActivity')" />
      <span v-if="week" class="figure"
        ><b>{{ desk.hours(week.totalSeconds) }}</b> {{ t('timesheet.inThisWeek') }}</span
      >
      <Yardstick
        v-if="standing"
        :estimated-seconds="standing.hasEstimate ? standing.comparison.estimatedSeconds : null"
        :used="standing.used"
        size="row"
        :label="yardstickWords(standing.comparison, standing.hasEstimate, desk.hours)"
      />
      <span v-if="standing" class="figure" :class="{ attention: standing.balance.isOver }"
        ><b>{{ standing.balance.hours }}</b> {{ t('timesheet.inAll', { word: standing.balance.word }) }}</span
      >
    </div>
    <UndoBar :acts="hours" />
    <template v-if="target === ''">
      <p class="none">{{ t('timesheet.chooseWhatWasWorkedOnThenEnter') }}</p>
      <QueryState
        v-if="!inWork.data.value"
        :is-pending="inWork.isPending.value"
        :error="inWork.error.value"
        @retry="inWork.refetch()"
      />
      <ul v-else class="jobs" :aria-label="t('timesheet.inWorkNow')">
        <li v-for="each in inWork.data.value.targets" :key="each.id">
          <RouterLink :to="{ name: 'job-hours', params: { target: each.id } }">{{ each.title }}</RouterLink>
          <span class="quiet">{{ each.more }}</span>
        </li>
      </ul>
    </template>
    <QueryState
      v-else-if="!week"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <DataTable
      v-else
      class="across"
      :rows="people"
      :columns="columns"
      :row-key="(person) => person.technician"
    >
      <template #person="{ row: person }">
        <RouterLink :to="linkToWeek(person.technician, monday)">{{ person.name }}</RouterLink>
        <small>{{ person.department }}</small>
      </template>
      <template v-for="(day, i) in week.days" :key="day.day" #[`day-${day.day}`]="{ row: person }">
        <template v-for="cell in person.cells.slice(i, i + 1)" :key="cell.day">
          <RouterLink
            v-if="cell.scannedSeconds > 0"
            class="figure scanned"
            :to="linkToDay(person.technician, cell.day)"
            >{{ desk.hours(cell.scannedSeconds) }}{{ cell.isOpen ? '…' : '' }}</RouterLink
          >
          <LengthField
            :seconds="sumSeconds(cell.entered)"
            :label="`${person.name}, ${sayDate(cell.day)}`"
            :disabled="isBehind || cell.isElsewhere || day.isClosed || day.isFuture"
            :title="cell.isElsewhere ? t('timesheet.enteredElsewhere') : undefined"
            @change="write(person, cell, $event)"
          />
        </template>
      </template>
    </DataTable>
    <p v-if="week && people.length === 0" class="none">{{ t('common.nobodyOfThisName') }}</p>
  </DeskFrame>
</template>

<style scoped>
.span {
  display: flex;
  gap: 16px;
  margin: 0;
  padding: 24px 14px 0;
  font-size: var(--text-l);
}
.choose {
  display: grid;
  grid-template-columns: minmax(220px, 380px) auto minmax(160px, 320px) 1fr;
  gap: 18px;
  align-items: center;
  padding: 10px 16px;
}
table {
  width: calc(100% - 32px);
  margin: 0 16px 20px;
}
table :deep(th),
table :deep(td) {
  vertical-align: bottom;
}
table :deep(th[scope='row']) {
  white-space: nowrap;
}
@media (max-width: 900px) {
  .choose {
    grid-template-columns: 1fr;
  }
}
.scanned {
  display: block;
  text-align: right;
  text-decoration: none;
}
.none {
  padding: 4px 16px;
}
.jobs {
  margin: 0 16px 20px;
  padding: 0;
  background: var(--sheet);
  border-top: 1px solid var(--line);
  list-style: none;
}
.jobs li {
  display: grid;
  grid-template-columns: minmax(220px, 380px) 1fr;
  gap: 18px;
  padding: 6px 10px;
  border-bottom: 1px solid var(--line);
}
</style>
