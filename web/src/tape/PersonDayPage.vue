<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { formatDay, isSaidLength, parseDay, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay, Span } from '@wergon/core/time';
import {
  sayClock,
  sayDay,
  useDesk,
  useNow,
  usePeople,
  useToday,
  linkToDay,
  linkToPay,
  linkToWeek,
} from '../kit/index.ts';
import { DeskFrame, FoundPeople, QueryState, ReconcileTabs } from '../kit/parts/index.ts';
import { HourTicks, sayOvertime } from '../floor/index.ts';
import { ScanHistory } from '../ledger/index.ts';
import EditableTape from './EditableTape.vue';
import { UndoBar, useUndo } from '../loose-ends/index.ts';
import EditForm from './EditForm.vue';
import NoteSection from './NoteSection.vue';
import PresenceSection from './PresenceSection.vue';
import StintSection from './StintSection.vue';
import { usePresenceEdit } from './usePresenceEdit.ts';
import { useRecordsEdit } from './useRecordsEdit.ts';
import { usePersonDay } from './usePersonDay.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { useTapeEdit } from './useTapeEdit.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const now = useNow();
const route = useRoute();
const router = useRouter();
const search = ref('');
const technician = computed(() => String(route.params['technician'] ?? ''));
const today = useToday();
const dayNumber = computed((): LocalDay => {
  const read = parseDay(String(route.params['day'] ?? ''));
  return read.ok ? read.value : today.value;
});
const day = computed(() => formatDay(dayNumber.value));
const zone = computed(() => desk.zone);
const { query, told, blocks, shifts, breaks, gaps, scale } = usePersonDay(technician, day, zone, dayNumber);
const names = usePeople();
const acts = useUndo();
const { isBusy } = acts;
const editing = useTapeEdit(acts);
const presence = usePresenceEdit(acts);
const records = useRecordsEdit(acts);
const { draft } = editing;
const mayEdit = computed(() => told.value?.mayCorrect === true && !told.value.isClosed);
const planned = computed((): Span | null =>
  told.value?.planned ? { from: told.value.planned.from, to: told.value.planned.to } : null,
);
const isToday = computed(() => dayNumber.value === today.value);
const clock = (at: Instant) => (desk.zone ? sayClock(desk.zone, at) : '');
const overtime = computed(() => sayOvertime(told.value?.stages ?? [], now.value, clock));
const outWords = computed(() => {
  const last = told.value?.shifts.at(-1);
  if (!last) return '';
  return last.isOpen
    ? t('tape.stillIn')
    : last.isTorn
      ? t('tape.andNobodySignedOut')
      : t('tape.out', { time: clock(last.to) });
});
/** The block whose history is open. */
const opened = computed(() => blocks.value.find(({ from }) => from === draft.value?.block?.from));

watch([technician, day], () => {
  editing.clear();
  presence.clear();
  records.clear();
});
function go(to: LocalDay, who = technician.value): void {
  search.value = '';
  void router.push(linkToDay(who, to));
}
function take(block: TapeBlock): void {
  if (mayEdit.value) editing.take(technician.value, block);
}
function draw(piece: number, edge: 'from' | 'to', at: Instant): void {
  const drawn = draft.value?.becomes[piece];
  if (drawn) drawn[edge] = at;
}
const pieces = computed(() =>
  (draft.value?.becomes ?? []).filter((piece) => piece.technician === technician.value),
);
function begin(gap: Span): void {
  editing.begin(technician.value, gap.from, gap.to);
}
/** An hour behind the last block, or from the planned beginning on, as a first guess; never in the future. */
function add(): void {
  const last = blocks.value.at(-1)?.to ?? planned.value?.from ?? scale.value.at(0.2);
  const from = Math.min(last, now.value - 60);
  editing.begin(technician.value, toInstant(from), toInstant(Math.min(from + 3600, now.value)));
}
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="sayDay(dayNumber)"
    :step="t('kit.stepDay')"
    :today="t('kit.toToday')"
    :search-label="t('kit.anotherPerson')"
    @back="go((dayNumber - 1) as LocalDay)"
    @on="go(Math.min(dayNumber + 1, today) as LocalDay)"
    @today="go(today)"
  >
    <template #ruler>
      <div v-if="desk.zone" class="hours">
        <HourTicks :scale="scale" :zone="desk.zone" :now="isToday ? now : null" />
      </div>
    </template>
    <ReconcileTabs />
    <FoundPeople :people="names" :search="search" @pick="go(dayNumber, $event)" />
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <b class="person">{{ told.name }}</b>
        <span
          ><b class="figure">{{ desk.hours(told.attendedSeconds) }}</b> {{ t('common.attended') }}</span
        >
        <span
          ><b class="figure">{{ desk.hours(told.chargedSeconds) }}</b> {{ t('common.onSomething') }}</span
        >
        <span v-if="isSaidLength(told.overtimeSeconds)">
          <RouterLink v-if="desk.may('pay.see')" :to="linkToPay(technician, dayNumber)"
            ><b class="figure">{{ desk.hours(told.overtimeSeconds) }}</b>
            {{ t('tape.beyondStraight') }}</RouterLink
          ><template v-else
            ><b class="figure">{{ desk.hours(told.overtimeSeconds) }}</b>
            {{ t('tape.beyondStraight') }}</template
          ></span
        >
        <span v-if="overtime" :class="{ attention: overtime.isReached }">{{ overtime.words }}</span>
        <span v-if="planned">{{
          t('tape.plannedTo', { time: clock(planned.from), time2: clock(planned.to) })
        }}</span>
        <span v-else>{{ t('tape.nothingPlanned') }}</span>
        <RouterLink :to="linkToWeek(technician, dayNumber)">{{ t('tape.theWeek') }}</RouterLink>
        <RouterLink :to="{ name: 'card', params: { technician } }">{{ t('tape.theCard') }}</RouterLink>
      </p>
      <p v-if="told.isClosed" class="note">
        {{ t('tape.thisDayLiesInAClosedPayPeriod') }}
      </p>
      <p v-if="!told.mayCorrect && desk.may('ledger.correct')" class="note">
        {{ t('tape.isNotOneOfYourPeopleThisDay', { name: told.name }) }}
      </p>
      <UndoBar :acts="acts" />
      <div class="row">
        <p class="name">
          <template v-if="shifts.length > 0">{{
            t('tape.inAndOut', { time: clock(shifts[0]!.from), out: outWords })
          }}</template>
          <template v-else>{{ t('common.notSignedIn') }}</template>
        </p>
        <EditableTape
          v-if="desk.zone"
          :blocks="blocks"
          :gaps="gaps"
          :breaks="breaks"
          :shifts="shifts"
          :planned="planned"
          :pieces="pieces"
          :taken="draft?.block?.from ?? null"
          :scale="scale"
          :zone="desk.zone"
          :now="isToday ? now : null"
          :may-edit="mayEdit"
          @take="take"
          @begin="begin"
          @draw="draw"
        />
        <div class="legend">
          <p v-for="each in told.hours" :key="each.id" class="written">
            <b class="figure">+ {{ desk.hours(each.seconds) }}</b>
            {{ t('tape.writtenDown', { title: each.title }) }}
          </p>
          <p>
            {{ t('tape.takeHoldOfABlockToDrawItsEdges') }}
          </p>
        </div>
      </div>
      <EditForm
        v-if="draft && desk.zone"
        :editing="editing"
        :is-busy="isBusy"
        :people="names"
        :zone="desk.zone"
        :now="now"
        :blocks="blocks"
      />
      <section v-if="opened" class="desk-part history">
        <h2>{{ t('tape.howThisBlockCameToBe') }}</h2>
        <ol>
          <ScanHistory :scan="opened.stint.opened" />
          <ScanHistory v-if="opened.stint.closed" :scan="opened.stint.closed" />
        </ol>
      </section>
      <PresenceSection
        v-if="desk.zone"
        :editing="presence"
        :is-busy="isBusy"
        :may-edit="mayEdit"
        :told="told"
        :zone="desk.zone"
        :guess="planned ?? { from: scale.at(0.1), to: scale.at(0.7) }"
        :now="now"
      />
      <StintSection
        v-if="desk.zone"
        :blocks="blocks"
        :taken="draft?.block?.from ?? null"
        :told="told"
        :may-edit="mayEdit"
        :zone="desk.zone"
        :editing="records"
        :is-busy="isBusy"
        :people="names"
        @take="take"
        @add="add"
      />
      <NoteSection v-if="desk.zone" :told="told" :may-edit="mayEdit" :zone="desk.zone" :acts="acts" />
    </template>
  </DeskFrame>
</template>

<style scoped>
.hours {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
.counts a + a {
  margin-left: 16px;
}
.counts a:first-of-type {
  margin-left: auto;
}
.note {
  margin: 0;
  padding: 6px 16px;
  background: var(--band);
}
.row {
  display: grid;
  grid-template-columns: var(--col-name) minmax(0, 1fr) var(--col-side);
  border-bottom: 1px solid var(--ink);
}
.row .name,
.row .legend {
  margin: 0;
  padding: 10px 14px;
}
.row .name {
  border-right: 1px solid var(--line);
}
.legend p {
  margin: 0 0 4px;
}
.legend .written {
  color: var(--ink);
  font-size: var(--text-s);
}
.row .legend {
  border-left: 1px solid var(--line);
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.history ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: 1fr;
  }
  .row .name {
    border: 0;
  }
  .row .legend {
    border: 0;
  }
}
</style>
