<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { formatDay, mondayOf } from '@wergon/core/time';
import { callRoute, sayDate, useDesk, useAct, useToday } from '../kit/index.ts';
import { DateField } from '../kit/parts/index.ts';
import { readClock, writeClock } from './clockText.ts';
import { sayTerm, t } from '../words/index.ts';

const props = defineProps<{ technician: string }>();
const desk = useDesk();
const params = computed(() => ({ technician: props.technician }));
const query = useQuery({
  queryKey: ['plan', params],
  queryFn: () => callRoute('plan', { params: params.value }),
});
const { act, problem, isBusy } = useAct();
const plan = computed(() => query.data.value);
const WEEKDAYS = [
  t('people.mon'),
  t('people.tue'),
  t('people.wed'),
  t('people.thu'),
  t('people.fri'),
  t('people.sat'),
  t('people.sun'),
] as const;

type Row = { start: string; end: string; pause: string };
const today = useToday();
const monday = computed(() => formatDay(mondayOf(today.value)));
const from = ref('');
const weeks = ref<Row[][]>([]);
const isEditing = ref(false);

const current = computed(() => {
  const patterns = plan.value?.patterns ?? [];
  return patterns.findLast(({ from: first }) => first <= today.value) ?? patterns[0];
});
const emptyWeek = (): Row[] => WEEKDAYS.map(() => ({ start: '', end: '', pause: '' }));

function edit(): void {
  from.value = monday.value;
  weeks.value = current.value?.weeks.map((week) =>
    week.map((shift) =>
      shift
        ? {
            start: writeClock(shift.startMinute),
            end: writeClock(shift.endMinute),
            pause: String(shift.breakMinutes),
          }
        : { start: '', end: '', pause: '' },
    ),
  ) ?? [
    WEEKDAYS.map((_day, i) =>
      i < 5 ? { start: '7:00', end: '15:30', pause: '30' } : { start: '', end: '', pause: '' },
    ),
  ];
  isEditing.value = true;
}
async function save(): Promise<void> {
  const body = {
    from: from.value,
    weeks: weeks.value.map((week) =>
      week.map(({ start, end, pause }) =>
        start.trim() === '' && end.trim() === ''
          ? null
          : { startMinute: readClock(start), endMinute: readClock(end), breakMinutes: Number(pause || 0) },
      ),
    ),
  };
  if ((await act(() => callRoute('savePattern', { params: params.value, body }))) !== undefined)
    isEditing.value = false;
}
/** The first row of a week is copied over its other filled days, which most weeks want. */
function copyDown(week: Row[]): void {
  const [first] = week;
  if (first) for (const row of week.slice(1, 5)) Object.assign(row, first);
}

type Plan = ResponseOf<'plan'>;
/** What is planned of a day, in words. */
function sayPlanned({ kind, plan: planned, why }: Plan['days'][number]): string {
  switch (kind) {
    case 'work':
      return planned
        ? t('people.fromTo', { start: writeClock(planned.startMinute), end: writeClock(planned.endMinute) })
        : '';
    case 'closed':
      return why;
    case 'absent':
      return sayTerm('absences', why);
    case 'free':
      return t('people.free');
    case 'unplanned':
      return t('tape.nothingPlanned');
  }
}
const LONGEST = 12 * 3600;
</script>

<template>
  <section>
    <h2>{{ t('people.plan') }}</h2>
    <p v-if="plan && plan.patterns.length === 0 && !isEditing" class="quiet">
      {{ t('people.noWorkPlanYetWithoutOneNobody') }}
    </p>
    <div
      v-if="plan && plan.patterns.length > 0 && !isEditing"
      class="ahead"
      role="list"
      :aria-label="t('people.theNextFourWeeks')"
    >
      <div
        v-for="day in plan.days"
        :key="day.day"
        role="listitem"
        class="day"
        :class="day.kind"
        :title="`${sayDate(day.day)}: ${sayPlanned(day)}`"
      >
        <span class="name">{{ sayDate(day.day).split(' ').slice(0, 2).join(' ') }}</span>
        <span
          class="bar"
          :style="{ height: `${(Math.min(day.plannedSeconds, LONGEST) / LONGEST) * 56}px` }"
        ></span>
        <span class="words">{{
          day.kind === 'work' ? desk.hours(day.plannedSeconds) : sayPlanned(day)
        }}</span>
      </div>
    </div>
    <form v-if="isEditing" @submit.prevent="save">
      <div class="inline">
        <label
          >{{ t('people.validFrom') }} <DateField v-model="from" :label="t('people.validFrom')" required
        /></label>
        <span class="quiet">{{ t('people.itsFirstWeekIsTheWeekOfThat') }}</span>
      </div>
      <div class="weeks">
        <fieldset v-for="(week, i) in weeks" :key="i">
          <legend>
            {{
              weeks.length === 1
                ? t('people.everyWeek')
                : t('people.weekOf', { week: i + 1, n: weeks.length })
            }}
          </legend>
          <div class="week-row quiet">
            <span></span><span>{{ t('people.start') }}</span
            ><span>{{ t('common.end') }}</span
            ><span>{{ t('people.unpaidBreakMin') }}</span>
          </div>
          <div v-for="(row, j) in week" :key="j" class="week-row">
            <span>{{ WEEKDAYS[j] }}</span>
            <BFormInput
              v-model="row.start"
              class="figure"
              :aria-label="t('people.startOfWeek', { weekday: WEEKDAYS[j], week: i + 1 })"
              :placeholder="t('people.free')"
            />
            <BFormInput
              v-model="row.end"
              class="figure"
              :aria-label="t('people.endOfWeek', { weekday: WEEKDAYS[j], week: i + 1 })"
            />
            <BFormInput
              v-model="row.pause"
              class="figure"
              inputmode="numeric"
              :aria-label="t('people.breakOfWeek', { weekday: WEEKDAYS[j], week: i + 1 })"
            />
          </div>
          <div class="acts">
            <BButton variant="quiet" size="sm" @click="copyDown(week)">
              {{ t('people.mondayForAllWorkdays') }}
            </BButton>
            <BButton v-if="weeks.length > 1" variant="quiet" size="sm" @click="weeks.splice(i, 1)">
              {{ t('people.removeWeek') }}
            </BButton>
          </div>
        </fieldset>
      </div>
      <div class="acts">
        <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('people.savePlan') }}</BButton>
        <BButton v-if="weeks.length < 4" variant="quiet" @click="weeks.push(emptyWeek())">
          {{ t('people.addAWeekToTheRotation') }}
        </BButton>
        <BButton variant="quiet" @click="isEditing = false">{{ t('common.leaveItAsItIs') }}</BButton>
      </div>
    </form>
    <div v-else-if="desk.may('people.change')" class="acts">
      <BButton variant="quiet" @click="edit">
        {{ plan?.patterns.length ? t('people.changeFromADayOn') : t('people.planTheWeeks') }}
      </BButton>
      <span v-if="plan && plan.patterns.length > 1" class="quiet">{{
        t('people.plansSoFarTheLatestFrom', {
          n: plan.patterns.length,
          day: sayDate(plan.patterns.at(-1)?.from ?? null),
        })
      }}</span>
    </div>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.ahead {
  display: grid;
  grid-template-columns: repeat(14, minmax(0, 1fr));
  gap: 6px;
  max-width: 1040px;
}
.day {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  min-height: 104px;
  font-size: var(--text-xs);
  text-align: center;
}
.bar {
  display: block;
  background: var(--bar);
}
.name {
  color: var(--ink-2);
}
.words {
  overflow: hidden;
  border-top: 1px solid var(--line);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.work .words {
  font-family: var(--mono);
}
.free .words,
.unplanned .words {
  color: var(--ink-2);
}
.weeks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: 16px 32px;
  max-width: 1040px;
}
.week-row {
  display: grid;
  grid-template-columns: 44px 80px 80px 130px;
  gap: 8px;
  align-items: center;
  margin-bottom: 4px;
}
legend {
  font-size: var(--text-m);
  font-weight: 700;
}
@media (max-width: 760px) {
  .ahead {
    grid-template-columns: repeat(7, minmax(0, 1fr));
  }
}
</style>
