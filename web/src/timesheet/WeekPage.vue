<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BFormSelect } from 'bootstrap-vue-next';
import { computed, nextTick, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { WeekJson } from '@wergon/contract/timesheet';
import { addDays, formatDay, mondayOf, parseDay, sumSeconds, weekOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import {
  callRoute,
  sayClock,
  sayDate,
  sayDay,
  useDesk,
  useNow,
  usePeople,
  useToday,
  linkToDay,
  linkToWeek,
} from '../kit/index.ts';
import { DateField, DeskFrame, FoundPeople, QueryState, ReconcileTabs } from '../kit/parts/index.ts';
import { sayOvertime } from '../floor/index.ts';
import { TargetPicker } from '../tape/index.ts';
import AwayForm from './AwayForm.vue';
import LengthField from './LengthField.vue';
import { UndoBar } from '../loose-ends/index.ts';
import { useHours } from './useHours.ts';
import WeekColumns from './WeekColumns.vue';
import { t } from '../words/index.ts';

const desk = useDesk();
const route = useRoute();
const router = useRouter();
const search = ref('');
const people = usePeople();
const hours = useHours();
const today = useToday();
const technician = computed(() => String(route.params['technician'] ?? '') || (people.value[0]?.id ?? ''));
const day = computed((): LocalDay => {
  const read = parseDay(String(route.params['day'] ?? ''));
  return read.ok ? read.value : today.value;
});
const monday = computed(() => mondayOf(day.value));
const mondayText = computed(() => formatDay(monday.value));
const query = useQuery({
  queryKey: ['week', technician, mondayText],
  queryFn: () => callRoute('week', { query: { technician: technician.value, day: mondayText.value } }),
  placeholderData: keepPreviousData,
  enabled: computed(() => technician.value !== ''),
});
const week = computed(() => query.data.value);
const now = useNow();
/** That what they are on is paid beyond straight hours, or will be soon. */
const overtime = computed(() =>
  sayOvertime(week.value?.stages ?? [], now.value, (at) => (desk.zone ? sayClock(desk.zone, at) : '')),
);
/** What stands there is still the week or the person before: nothing is entered into it. */
const isBehind = query.isPlaceholderData;
const mayWrite = computed(() => week.value?.mayCorrect ?? false);

/** A row that is not there yet. */
const added = reactive<{ target: string; text: string; workType: WorkType }>({
  target: '',
  text: '',
  workType: 'run',
});
watch([technician, mondayText], () => Object.assign(added, { target: '', text: '', workType: 'run' }));
const rows = computed(() => week.value?.rows ?? []);
const isThere = computed(() =>
  rows.value.some(({ target, workType }) => target === added.target && workType === added.workType),
);

type Cell = WeekJson['rows'][number]['cells'][number];
function go(to: LocalDay, who = technician.value): void {
  search.value = '';
  void router.push(linkToWeek(who, to));
}
/** A number becomes a length of its day: in place of what is written down there. */
async function write(
  row: { readonly target: string; readonly workType: WorkType; readonly title: string },
  onDay: LocalDay,
  entered: Cell['entered'],
  seconds: number,
): Promise<void> {
  const base = {
    technician: technician.value,
    target: row.target,
    workType: row.workType,
    day: formatDay(onDay),
  };
  const [first, ...rest] = entered;
  const done = await hours.enter(
    [
      { ...base, entry: first?.id ?? null, seconds },
      // Several lengths that stood in one cell become the one that was typed.
      ...rest.map(({ id }) => ({ ...base, entry: id, seconds: 0 })),
    ],
    `${week.value?.name ?? ''}, ${sayDay(onDay)}, ${row.title}: ${seconds === 0 ? t('common.removed') : desk.hours(seconds)}`,
  );
  if (done && row.target === added.target) await showNewRow(row, onDay);
}
/** Fields of the rows by row and day. */
const fields = new Map<string, { focus: () => void }>();
const keyOf = (row: { readonly target: string; readonly workType: WorkType }, onDay: LocalDay) =>
  `${row.target} ${row.workType} ${onDay}`;
/** How often a row was added: its field begins empty each time. */
const additions = ref(0);
/** What was added has become a row of its own: whoever types goes on there. */
async function showNewRow(row: { readonly target: string; readonly workType: WorkType }, onDay: LocalDay) {
  Object.assign(added, { target: '', text: '', workType: 'run' });
  additions.value += 1;
  await nextTick();
  fields.get(keyOf(row, onDay))?.focus();
}
const keepField = (key: string, field: unknown) => {
  if (field) fields.set(key, field as { focus: () => void });
  else fields.delete(key);
};
const openDate = (text: string) => {
  const read = parseDay(text);
  if (read.ok) go(read.value);
};
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="t('common.week', { week: weekOf(monday) })"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    :search-label="t('kit.anotherPerson')"
    @back="go(addDays(monday, -7))"
    @on="go(addDays(monday, 7))"
    @today="go(today)"
  >
    <template #ruler>
      <p class="span">
        <b>{{ week?.name }}</b>
        {{ t('common.to', { day: sayDay(monday), day2: sayDay(addDays(monday, 6)) }) }}
        <label
          ><span>{{ t('timesheet.anyDay') }}</span>
          <DateField
            :model-value="mondayText"
            :label="t('timesheet.anyDayOfTheWeek')"
            required
            is-small
            @update:model-value="openDate"
        /></label>
      </p>
    </template>
    <ReconcileTabs />
    <FoundPeople :people="people" :search="search" @pick="go(monday, $event)" />
    <QueryState
      v-if="!week"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="whom">
        <BFormSelect
          size="sm"
          :aria-label="t('common.person')"
          :model-value="technician"
          @update:model-value="go(monday, String($event))"
        >
          <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
        </BFormSelect>
        <span class="key"><i class="job"></i>{{ t('timesheet.scannedOnJobs') }}</span>
        <span class="key"><i class="indirect"></i>{{ t('timesheet.scannedIndirect') }}</span>
        <span class="key"><i class="entered"></i>{{ t('timesheet.enteredByHand') }}</span>
        <span class="key"><i class="planned"></i>{{ t('common.planned') }}</span>
        <span v-if="overtime" :class="{ attention: overtime.isReached }">{{ overtime.words }}</span>
      </div>
      <UndoBar :acts="hours" />
      <div class="wide">
        <WeekColumns :week="week" />
        <div class="grid" role="table" :aria-label="t('timesheet.theWeekByTaskAndActivity')">
          <div v-for="row in rows" :key="`${row.target} ${row.workType}`" class="line" role="row">
            <span role="rowheader" class="title"
              >{{ row.title }}
              <span v-if="row.workType !== 'run'" class="quiet">{{
                t(`workTypes.${row.workType}`)
              }}</span></span
            >
            <span v-for="(cell, i) in row.cells" :key="cell.day" role="cell" class="cell">
              <RouterLink
                v-if="cell.scannedSeconds > 0"
                class="figure scanned"
                :to="linkToDay(technician, cell.day)"
                :title="cell.isOpen ? t('common.inProgress') : t('timesheet.scannedCorrectItOnTheTape')"
                >{{ desk.hours(cell.scannedSeconds) }}{{ cell.isOpen ? '…' : '' }}</RouterLink
              >
              <LengthField
                :ref="(field) => keepField(keyOf(row, cell.day), field)"
                :seconds="sumSeconds(cell.entered)"
                :label="`${row.title}, ${sayDate(cell.day)}`"
                :disabled="
                  !mayWrite ||
                  isBehind ||
                  cell.isElsewhere ||
                  week.days[i]?.isClosed ||
                  week.days[i]?.isFuture
                "
                :title="cell.isElsewhere ? t('timesheet.enteredElsewhere') : undefined"
                @change="write(row, cell.day, cell.entered, $event)"
              />
            </span>
            <span role="cell" class="figure total">{{ desk.hours(row.totalSeconds) }}</span>
          </div>
          <div v-if="mayWrite" class="line" role="row">
            <span role="rowheader" class="add">
              <TargetPicker
                v-model="added.target"
                v-model:text="added.text"
                :label="t('timesheet.anotherTaskOrActivity')"
                @kind="added.workType = $event"
              />
              <BFormSelect v-model="added.workType" size="sm" :aria-label="t('timesheet.kindOfWork')">
                <option v-for="kind in WORK_TYPES" :key="kind" :value="kind">
                  {{ t(`workTypes.${kind}`) }}
                </option>
              </BFormSelect>
            </span>
            <span v-for="each in week.days" :key="each.day" role="cell" class="cell">
              <LengthField
                :key="additions"
                :seconds="0"
                :label="`${added.text || t('timesheet.newRow')}, ${sayDate(each.day)}`"
                :disabled="added.target === '' || isBehind || isThere || each.isClosed || each.isFuture"
                @change="
                  write(
                    { target: added.target, workType: added.workType, title: added.text },
                    each.day,
                    [],
                    $event,
                  )
                "
              />
            </span>
            <span></span>
          </div>
        </div>
      </div>
      <AwayForm v-if="desk.may('people.change')" :technician="technician" :days="week.days" />
      <p v-if="isThere" class="none quiet">{{ t('timesheet.thisRowIsAlreadyAbove') }}</p>
      <p v-if="rows.length === 0" class="none">
        {{ t('timesheet.noTimeRecordedForInThisWeek', { name: week.name })
        }}<template v-if="week.lastDay"
          >{{ t('timesheet.theLastDayBeforeItIs') }}
          <RouterLink :to="linkToWeek(technician, week.lastDay)">{{
            sayDate(week.lastDay)
          }}</RouterLink></template
        >.
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.span {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  margin: 0;
  padding: 18px 14px 0;
  font-size: var(--text-l);
}
.span label span {
  white-space: nowrap;
}
.span label {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: var(--text-xs);
}
.whom {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  padding: 8px 16px 0;
}
.whom select {
  width: 220px;
}
.key {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.key i {
  display: inline-block;
  width: 16px;
  height: 12px;
  margin-right: 6px;
  vertical-align: -1px;
}
i.job {
  background: var(--bar);
}
i.indirect {
  background: var(--indirect);
}
i.entered {
  background: repeating-linear-gradient(0deg, var(--action) 0 3px, var(--action-tint) 3px 5px);
}
i.planned {
  border: 1px solid var(--line);
  background: var(--bar-open);
}
/* Seven days stay side by side: what does not fit is scrolled to. */
.wide {
  --week: minmax(200px, 300px) repeat(7, minmax(76px, 1fr)) 80px;
  overflow-x: auto;
}
.wide > :deep(*) {
  min-width: 1060px;
}
.grid {
  margin: 4px 16px 12px;
  background: var(--sheet);
  border-top: 1px solid var(--ink);
}
.line {
  display: grid;
  grid-template-columns: var(--week);
  border-bottom: 1px solid var(--line);
}
.title {
  padding: 6px 8px;
}
.cell {
  display: flex;
  gap: 4px;
  align-items: center;
  justify-content: flex-end;
  padding: 3px 6px;
  border-left: 1px solid var(--line);
}
.cell :deep(input) {
  min-width: 44px;
  max-width: 64px;
  padding-inline: 4px;
}
.scanned {
  color: var(--ink);
  font-size: var(--text-m);
  text-align: right;
  text-decoration: none;
}
.scanned:hover {
  text-decoration: underline;
}
.total {
  padding: 6px 8px;
  text-align: right;
  font-weight: 700;
}
.add {
  display: grid;
  grid-template-columns: 1fr 90px;
  gap: 4px;
  padding: 3px 0;
}
.none {
  padding: 4px 16px;
}
@media (max-width: 760px) {
  .wide {
    --week: 132px repeat(7, minmax(76px, 1fr)) 80px;
  }
}
</style>
