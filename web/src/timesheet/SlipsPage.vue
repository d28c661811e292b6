<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, nextTick, onMounted, ref } from 'vue';
import { formatHours, parseClock, parseDay, parseHours, toSeconds } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, sayDay, useDesk, useNow, useToday } from '../kit/index.ts';
import { DeskFrame, ReconcileTabs } from '../kit/parts/index.ts';
import { TargetPicker } from '../tape/index.ts';
import { readDayText } from './dayText.ts';
import { UndoBar, useUndo } from '../loose-ends/index.ts';
import { readPieces, readSlip, secondsOf, useSlips } from './useSlips.ts';
import type { Slip } from './useSlips.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const now = useNow();
const acts = useUndo();
const slips = useSlips();
const { rows, complete, sums, problem, isLoaded } = slips;
const list = ref<HTMLElement>();
const today = useToday();
onMounted(() => slips.load());

const setDay = (row: Slip) => {
  row.day = readDayText(row.day, today.value);
  void slips.keepSoon();
};
const isDay = (text: string) => text === '' || parseDay(text).ok;
const sayOwnDay = (text: string) => {
  const read = parseDay(text);
  return read.ok ? sayDay(read.value) : '';
};
async function findPerson(row: Slip): Promise<void> {
  if (row.personText.trim() === '') {
    row.technician = '';
    return;
  }
  const person = await slips.findPerson(row.personText);
  if (person === undefined) return;
  row.technician = person?.id ?? '';
  // A scanned badge is nobody's to read: its place takes the name.
  if (person) row.personText = person.name;
  void slips.keepSoon();
}
function fieldsOf(row: number): HTMLElement[] {
  const line = list.value?.querySelectorAll<HTMLElement>('[data-slip]')[row];
  return line ? [...line.querySelectorAll<HTMLElement>('input, select')] : [];
}
/** Enter goes to the next field; behind the last one, to the next line. */
async function onEnter(event: KeyboardEvent, row: number): Promise<void> {
  event.preventDefault();
  const own = fieldsOf(row);
  const place = own.findIndex((field) => field === event.target);
  const next = own[place + 1];
  if (next) return next.focus();
  if (row === rows.value.length - 1) slips.append();
  await nextTick();
  // Person and day stand there already: the next slip begins with its task.
  const line = fieldsOf(row + 1);
  (rows.value[row + 1]?.technician ? line[2] : line[0])?.focus();
}
/** What the server said of a field of a row that was sent. */
const saidOf = (row: Slip, field: string) => {
  const place = complete.value.findIndex(({ key }) => key === row.key);
  return place < 0 ? undefined : acts.errors.value[`rows[${place}].${field}`];
};
const badField = (row: Slip, field: string) => saidOf(row, field) !== undefined;
const SENT = ['technician', 'target', 'day', 'from', 'to', 'seconds', 'good', 'scrap', 'note'];
const problemOf = (row: Slip) => SENT.flatMap((field) => saidOf(row, field) ?? []).join('; ');
const isTimed = ({ from, to }: Slip) => from !== '' || to !== '';
const isBadClock = (row: Slip, field: 'from' | 'to') =>
  (row[field] !== '' && parseClock(row[field]) === undefined) || badField(row, field);
const isBadPieces = (row: Slip, field: 'good' | 'scrap') =>
  readPieces(row[field]) === undefined || badField(row, field);
/** A length of its own, where no start and end say it. */
const setHours = (row: Slip, text: string | number | null) => {
  row.hours = String(text ?? '');
};
async function record(): Promise<void> {
  await slips.keep();
  const sent = [...complete.value];
  const body = sent.flatMap((row) => readSlip(row) ?? []);
  const drafts = sent.flatMap(({ id }) => id ?? []);
  const isDone = await acts.make(t('timesheet.recorded', { n: body.length }), (once) =>
    callRoute('recordSlips', { body: { rows: body, drafts, once } }),
  );
  if (isDone) slips.forget(sent);
}
/** Writers of rows that wait, each with theirs. */
const waiting = computed(() => {
  const writers = [...new Set(slips.others.value.map(({ by }) => by))];
  return writers.map((by) => [by, slips.others.value.filter((draft) => draft.by === by)] as const);
});
const ageOf = ({ at }: Slip) =>
  at === null ? '' : t('timesheet.keptFor', { hours: desk.hours(Math.max(0, now.value - at)) });
</script>

<template>
  <DeskFrame :lead="t('timesheet.enterGoesOnCodesCanBeScanned')" :title="t('common.paperSlips')">
    <ReconcileTabs />
    <UndoBar :acts="acts" />
    <p v-if="problem" class="problem attention" role="alert">
      {{ problem }}
      <BButton v-if="!isLoaded" variant="quiet" size="sm" @click="slips.load()">
        {{ t('common.tryAgain') }}
      </BButton>
    </p>
    <p v-else-if="!isLoaded" class="problem quiet">{{ t('timesheet.readingWhatWasKept') }}</p>
    <div v-if="isLoaded" class="sheet">
      <div ref="list" class="list">
        <div class="slip head" aria-hidden="true">
          <span>{{ t('common.person') }}</span><span>{{ t('common.dayHead') }}</span
          ><span>{{ t('timesheet.taskOrActivity') }}</span
          ><span>{{ t('common.kind') }}</span
          ><span>{{ t('timesheet.start') }}</span
          ><span>{{ t('timesheet.end') }}</span
          ><span>{{ t('common.hours') }}</span
          ><span>{{ t('timesheet.good') }}</span
          ><span>{{ t('timesheet.scrap') }}</span
          ><span>{{ t('timesheet.note') }}</span
          ><span></span>
        </div>
        <div
          v-for="(row, i) in rows"
          :key="row.key"
          data-slip
          class="slip"
          role="group"
          :aria-label="t('timesheet.slipNumber', { number: i + 1 })"
          @keydown.enter="onEnter($event, i)"
          @input="slips.keepSoon()"
        >
          <span class="field">
            <BFormInput
              v-model="row.personText"
              size="sm"
              :class="{ wrong: row.personText !== '' && row.technician === '' }"
              :aria-label="t('timesheet.personOfSlip', { number: i + 1 })"
              :placeholder="t('timesheet.nameNumberOrBadge')"
              autocomplete="off"
              @change="findPerson(row)"
            />
            <small v-if="row.personText !== '' && row.technician === ''" class="attention">{{
              t('timesheet.nobodyOfThisName')
            }}</small>
          </span>
          <span class="day">
            <BFormInput
              v-model="row.day"
              size="sm"
              class="figure"
              :class="{ wrong: !isDay(row.day) || badField(row, 'day') }"
              :aria-label="t('timesheet.dayOfSlip', { number: i + 1 })"
              :placeholder="t('timesheet.dayOr1')"
              @change="setDay(row)"
            />
            <small>{{ sayOwnDay(row.day) }}</small>
          </span>
          <TargetPicker
            v-model="row.target"
            v-model:text="row.targetText"
            :label="t('timesheet.taskOfSlip', { number: i + 1 })"
            :is-wrong="(row.targetText !== '' && row.target === '') || badField(row, 'target')"
            @kind="row.workType = $event"
          />
          <BFormSelect
            v-model="row.workType"
            size="sm"
            :aria-label="t('timesheet.kindOfSlip', { number: i + 1 })"
            @change="slips.keepSoon()"
          >
            <option v-for="kind in WORK_TYPES" :key="kind" :value="kind">{{ t(`workTypes.${kind}`) }}</option>
          </BFormSelect>
          <BFormInput
            v-for="field in ['from', 'to'] as const"
            :key="field"
            v-model="row[field]"
            size="sm"
            class="figure"
            :class="{ wrong: isBadClock(row, field) }"
            :aria-label="
              t(field === 'from' ? 'timesheet.startOfSlip' : 'timesheet.endOfSlip', { number: i + 1 })
            "
            :placeholder="field === 'from' ? '7:00' : '8:30'"
          />
          <BFormInput
            :model-value="
              isTimed(row)
                ? secondsOf(row) === 0
                  ? ''
                  : formatHours(toSeconds(secondsOf(row)), 'h:mm')
                : row.hours
            "
            size="sm"
            class="figure"
            :class="{
              wrong:
                (!isTimed(row) && row.hours !== '' && parseHours(row.hours) === undefined) ||
                badField(row, 'seconds'),
            }"
            :readonly="isTimed(row)"
            inputmode="decimal"
            :aria-label="t('timesheet.hoursOfSlip', { number: i + 1 })"
            placeholder="1:30"
            @update:model-value="setHours(row, $event)"
          />
          <BFormInput
            v-for="field in ['good', 'scrap'] as const"
            :key="field"
            v-model="row[field]"
            size="sm"
            class="figure"
            :class="{ wrong: isBadPieces(row, field) }"
            inputmode="numeric"
            :placeholder="t(`timesheet.${field}`).toLowerCase()"
            :aria-label="
              t(field === 'good' ? 'timesheet.goodOfSlip' : 'timesheet.scrapOfSlip', { number: i + 1 })
            "
          />
          <BFormInput
            v-model="row.note"
            size="sm"
            maxlength="500"
            :class="{ wrong: badField(row, 'note') }"
            :title="row.note"
            :placeholder="t('timesheet.note').toLowerCase()"
            :aria-label="t('timesheet.noteOfSlip', { number: i + 1 })"
          />
          <BButton
            variant="quiet"
            size="sm"
            :aria-label="t('timesheet.dropSlip', { number: i + 1 })"
            tabindex="-1"
            @click="slips.drop(row)"
          >
            {{ t('timesheet.drop') }}
          </BButton>
          <small v-if="problemOf(row)" class="said attention" role="alert">{{ problemOf(row) }}</small>
          <small v-else-if="row.id !== null && !readSlip(row)" class="said attention">{{ ageOf(row) }}</small>
        </div>
        <div class="acts">
          <BButton variant="primary" :disabled="complete.length === 0 || acts.isBusy.value" @click="record">
            {{ t('timesheet.record', { n: complete.length }) }}
          </BButton>
          <BButton variant="quiet" @click="slips.append()">{{ t('timesheet.anotherLine') }}</BButton>
        </div>
        <section v-if="waiting.length > 0" :aria-label="t('timesheet.begunByOthers')">
          <h2>{{ t('timesheet.begunByOthers') }}</h2>
          <p v-for="[by, own] in waiting" :key="by" class="sum">
            <span>{{ t('timesheet.slipsOf', { name: by, n: own.length }) }}</span>
            <BButton variant="quiet" size="sm" @click="slips.takeOver(own)">{{
              t('timesheet.takeThemOver', { n: own.length })
            }}</BButton>
          </p>
        </section>
      </div>
      <aside :aria-label="t('timesheet.sumsByPerson')">
        <h2>{{ t('timesheet.toCompareWithThePaper') }}</h2>
        <p v-for="sum in sums" :key="sum.name" class="sum">
          <span>{{ sum.name }}</span> <b class="figure">{{ desk.hours(sum.seconds) }}</b>
        </p>
        <p v-if="sums.length === 0" class="quiet">{{ t('timesheet.sumsStandHereAsSoonAsALineIs') }}</p>
      </aside>
    </div>
  </DeskFrame>
</template>

<style scoped>
.problem {
  margin: 0;
  padding: 14px;
}
.sheet {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 180px;
  gap: 24px;
  padding: 10px 16px 24px;
}
.slip {
  display: grid;
  grid-template-columns:
    minmax(110px, 150px) 114px minmax(150px, 1fr) 84px 68px 68px 68px 62px 62px minmax(80px, 140px)
    52px;
  gap: 6px;
  align-items: start;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
small {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
small.attention {
  color: var(--attention);
}
.wrong {
  border: 2px solid var(--attention);
}
.said {
  grid-column: 1 / -1;
}
.slip input[readonly] {
  color: var(--ink-2);
  background: transparent;
}
.acts {
  display: flex;
  gap: 8px;
  padding: 12px 0;
}
aside {
  padding: 0 14px;
  background: var(--sheet);
  border-left: 1px solid var(--line);
}
h2 {
  margin: 4px 0 8px;
  font-size: var(--text-m);
}
.sum {
  display: flex;
  justify-content: space-between;
  margin: 0;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
@media (max-width: 1400px) {
  .sheet {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 760px) {
  .head {
    display: none;
  }
  .slip {
    grid-template-columns: 1fr 1fr;
    padding: 8px 0;
  }
}
</style>
