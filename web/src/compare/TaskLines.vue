<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { LineRow, TaskRow } from '@wergon/contract/compare';
import { piecesPerRunHour } from '@wergon/core/compare';
import Yardstick from './Yardstick.vue';
import { callRoute, sayDate, useDesk, useAct, linkToDay } from '../kit/index.ts';
import CostFigure from './CostFigure.vue';
import { sayBalance, sayNumber, sayPieces, yardstickWords } from './figures.ts';
import HoursFigure from './HoursFigure.vue';
import LineScans from './LineScans.vue';
import type { ToldLine } from './figures.ts';
import SignedOutWords from './SignedOutWords.vue';
import { LongText, PlainButton, DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ task: TaskRow; order: string; quantity: number; isOpen: boolean }>();
const emit = defineEmits<{ toggle: [] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const finish = (isFinished: boolean) =>
  act(() =>
    callRoute('finishTask', { params: { order: props.order, task: props.task.id }, body: { isFinished } }),
  );
const openedLine = ref<string | null>(null);

const balance = computed(() => sayBalance(props.task.comparison, props.task.hasEstimate, desk.hoursStyle));
/** Of whoever has signed out it is said below, with how long that runs. */
const nowOn = computed(() =>
  props.task.peopleOn.filter((name) => !props.task.signedOut.some((person) => person.name === name)),
);
const who = computed(() => [...new Set(props.task.lines.map(sayWho))].join(', '));
const keyOf = ({ technician, workType, day }: LineRow) => `${technician ?? ''} ${workType} ${day}`;
const isTold = (line: LineRow): line is ToldLine => line.technician !== null;
const sayWho = ({ technician, name }: LineRow) => (technician === null ? t('compare.others') : name);
const howMeasured = ({ sharedSeconds, enteredSeconds }: LineRow) =>
  [
    sharedSeconds > 0 ? t('compare.shared', { hours: desk.hours(sharedSeconds) }) : '',
    enteredSeconds > 0 ? t('common.hoursWrittenDown', { hours: desk.hours(enteredSeconds) }) : '',
  ]
    .filter(Boolean)
    .join(', ');
/** Pieces so far, and how many to an hour of run time. */
const piecesWords = computed(() => {
  const { pieces, used } = props.task;
  if (!pieces) return '';
  const rate = piecesPerRunHour(pieces, used.run ?? 0);
  return [
    sayPieces(pieces, props.quantity),
    ...(rate === null ? [] : [t('compare.anHour', { rate: sayNumber(rate) })]),
  ].join(', ');
});
const columns = computed((): readonly Column<TaskRow['lines'][number]>[] => [
  { id: 'day', title: t('common.dayHead'), value: (line) => sayDate(line.day) },
  { id: 'who', title: t('compare.who'), value: sayWho },
  { id: 'work', title: t('common.work'), value: (line) => t(`workTypes.${line.workType}`) },
  {
    id: 'hours',
    title: t('common.hours'),
    class: 'number figure',
    value: (line) =>
      openedLine.value === keyOf(line) ? desk.exactHours(line.seconds) : desk.hours(line.seconds),
  },
  { id: 'cost', title: desk.costWords, class: 'number figure' },
  { id: 'madeOf', title: t('compare.madeOf') },
]);
</script>

<template>
  <PlainButton
    class="row-line task"
    :class="{ open: isOpen }"
    :aria-expanded="isOpen"
    @click="emit('toggle')"
  >
    <span class="row-name">
      <span class="number mono">{{ task.position }}</span>
      <span
        >{{ task.title
        }}<small
          >{{
            nowOn.length > 0
              ? t('compare.nowOn', { names: nowOn.join(', ') })
              : task.signedOut.length > 0
                ? ''
                : who || task.workCenter
          }}
          <SignedOutWords :people="task.signedOut" /></small
      ></span>
    </span>
    <Yardstick
      :estimated-seconds="task.hasEstimate ? task.comparison.estimatedSeconds : null"
      :used="task.used"
      size="row"
      hides-notch
      :label="yardstickWords(task.comparison, task.hasEstimate, desk.hours)"
    />
    <span class="row-figures figure">
      <HoursFigure :balance="balance" />
      <CostFigure :comparison="task.comparison" :has-estimate="task.hasEstimate" />
      <span :class="{ attention: task.isFinished && task.peopleOn.length > 0 }">{{
        !task.isAccepted
          ? t('compare.declined')
          : task.isFinished
            ? task.peopleOn.length > 0
              ? t('compare.doneStillWorkedOn')
              : t('common.done')
            : task.peopleOn.length > 0
              ? t('compare.onItWord')
              : task.lines.length > 0
                ? t('compare.begun')
                : t('common.open')
      }}</span>
    </span>
  </PlainButton>
  <div v-if="isOpen" class="lines">
    <p v-if="task.lines.length === 0" class="none">
      {{ t('compare.nobodyHasWorkedOnThisYetIts') }} <span class="mono">{{ task.code }}</span>.
    </p>
    <DataTable
      v-else
      :rows="task.lines"
      :columns="columns"
      :row-key="(line) => keyOf(line)"
      :is-expanded="(line) => openedLine === keyOf(line)"
      ><template #caption
        ><span class="visually-hidden">{{ t('compare.laborLinesOf', { title: task.title }) }}</span></template
      ><template #day="{ row: line }"
        ><RouterLink
          v-if="line.technician !== null && desk.may('reconcile.see')"
          :to="linkToDay(line.technician, line.day)"
          >{{ sayDate(line.day) }}</RouterLink
        ><template v-else>{{ sayDate(line.day) }}</template></template
      ><template #cost="{ row: line }"
        ><template v-if="line.cost !== null"
          >{{ desk.money(line.cost)
          }}<small v-if="line.set?.seconds === line.seconds" class="by-hand">{{
            t('compare.setByHand')
          }}</small></template
        >
        <span v-else class="attention">{{ t('compare.noRate') }}</span></template
      >
      <template #madeOf="{ row: line }"
        ><BButton
          v-if="line.technician !== null"
          variant="quiet"
          size="sm"
          :aria-expanded="openedLine === keyOf(line)"
          @click="openedLine = openedLine === keyOf(line) ? null : keyOf(line)"
        >
          {{ t('compare.scans') }}
        </BButton>
        <span class="how">{{ howMeasured(line) }}</span></template
      ><template #expanded="{ row: line }"
        ><LineScans v-if="isTold(line)" :line="line" :target="task.id" /></template
    ></DataTable>
    <div class="beside">
      <p v-if="task.pieces" class="none">{{ piecesWords }}</p>
      <p v-if="task.costCode" class="none">{{ t('compare.costCodeOf', { code: task.costCode }) }}</p>
      <p v-if="task.description" class="description">{{ task.description }}</p>
      <ol v-if="task.instructions.length > 0">
        <li v-for="(each, i) in task.instructions" :key="i">
          {{ each.text
          }}<span v-if="each.hours" class="figure quiet apart">{{
            desk.hours(Number(each.hours) * 3600)
          }}</span>
        </li>
      </ol>
      <p v-if="task.originalSeconds !== task.comparison.estimatedSeconds && task.isAccepted" class="none">
        {{ t('compare.firstEstimatedAt') }}
        <span class="figure">{{ desk.hours(task.originalSeconds) }}</span>,
        {{ desk.money(task.originalCost) }}.
      </p>
      <p v-if="task.assigned.length > 0" class="none">
        {{
          t('compare.assigned', {
            names: task.assigned.map(({ name }) => name).join(`, ${t('compare.then')} `),
          })
        }}
      </p>
      <p v-if="task.origin" class="none">
        {{ t('compare.fromAStandardVersion', { version: task.origin.taskVersion }) }}
      </p>
      <BButton
        v-if="desk.may('work.change') && task.isAccepted"
        variant="quiet"
        size="sm"
        :disabled="isBusy"
        @click="finish(!task.isFinished)"
      >
        {{ task.isFinished ? t('compare.reopenTask') : t('compare.markAsDone') }}
      </BButton>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    </div>
    <section v-if="task.notes.length > 0" class="notes" :aria-label="t('compare.notes')">
      <p v-for="note in task.notes" :key="note.id" class="none">
        <RouterLink
          v-if="note.technician && desk.may('reconcile.see')"
          :to="linkToDay(note.technician, note.day)"
          >{{ sayDate(note.day) }}</RouterLink
        >
        <template v-else>{{ sayDate(note.day) }}</template>
        {{ note.who ?? t('compare.somebodyElse') }}: <LongText :text="note.text" />
        <b v-if="note.isForCustomer" class="apart">{{ t('compare.forTheCustomer') }}</b>
      </p>
    </section>
    <p v-if="task.lines.length > 0" class="none">
      {{ t('compare.taskCode') }} <span class="mono">{{ task.code }}</span>
    </p>
  </div>
</template>

<style scoped>
.task {
  width: 100%;
  padding: 0;
  background: none;
  border: 0;
  border-top: 1px solid var(--line);
  text-align: left;
}
.task .number {
  color: var(--ink-2);
  font-weight: 600;
}
.open {
  box-shadow: inset 4px 0 var(--action);
}
.lines {
  position: relative;
  z-index: 1;
  padding: 4px 16px 12px 84px;
  background: var(--sheet);
  border-top: 1px solid var(--line);
  box-shadow: inset 4px 0 var(--action);
}
.row-figures > .attention {
  color: var(--attention);
  white-space: normal;
}
.none {
  margin: 8px 0 0;
  color: var(--ink-2);
}
table {
  width: 100%;
  border-collapse: collapse;
}
table :deep(th) {
  color: var(--ink-2);
  font-size: var(--text-xs);
  font-weight: 400;
}
table :deep(th),
table :deep(td) {
  padding: 4px 12px 4px 0;
}
table :deep(tbody td:not(.expanded)) {
  border-top: 1px solid var(--line);
}
table :deep(.number) {
  padding-right: 28px;
  text-align: right;
}
table :deep(.by-hand) {
  display: block;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.apart {
  margin-left: 0.5em;
}
.how {
  margin-left: 12px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
table :deep(.expanded) {
  padding: 0 0 10px;
}
</style>
