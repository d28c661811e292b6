<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref, useTemplateRef } from 'vue';
import type { Preparation } from '@wergon/contract/work';
import { formatCents } from '@wergon/core/money';
import type { OrderEstimate } from '@wergon/core/work';
import { CheckField, FormField, PlainButton } from '../kit/parts/index.ts';
import { toPlain, useDesk, useSortable } from '../kit/index.ts';
import { ChargeFields } from '../shop/index.ts';
import AssignedField from './AssignedField.vue';
import { HOURS, HOUR_WORDS, areHours, newTask, sayInstructions } from './orderDraft.ts';
import type { TaskDraft } from './orderDraft.ts';
import StepFields from './StepFields.vue';
import { t } from '../words/index.ts';

const tasks = defineModel<TaskDraft[]>({ required: true });
const props = defineProps<{
  preparation: Preparation | undefined;
  estimate: OrderEstimate;
  quantity: number;
  errors: Readonly<Record<string, string>>;
  /** Splits a task, where there is something to split by. */
  split: (task: TaskDraft) => readonly [string, string] | undefined;
}>();
const desk = useDesk();
const opened = ref<number | null>(null);
const longest = computed(() => Math.max(1, ...props.estimate.tasks.map(({ seconds }) => seconds)));

function move(from: number, to: number): void {
  if (to < 0 || to >= tasks.value.length || from === to) return;
  const [task] = tasks.value.splice(from, 1);
  if (task) tasks.value.splice(to, 0, task);
  opened.value = null;
}
useSortable(useTemplateRef<HTMLElement>('list'), { rows: '.task', handle: '.handle', move });
/** Alt and an arrow move the task that the focus is in. */
function onKey(event: KeyboardEvent, i: number): void {
  if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
  event.preventDefault();
  move(i, event.key === 'ArrowUp' ? i - 1 : i + 1);
}
function splitTask(i: number): void {
  const task = tasks.value[i];
  if (!task) return;
  const [first, second] = props.split(task) ?? ['', ''];
  const part: TaskDraft = {
    ...toPlain(task),
    id: null,
    title: t('work.partTwo', { title: task.title }),
    setupHours: '',
    runHoursPerPiece: '',
    runHours: second,
  };
  if (first !== '') Object.assign(task, { setupHours: '', runHoursPerPiece: '', runHours: first });
  tasks.value.splice(i + 1, 0, part);
}
/** Fields by the names that they have on the page. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  ...HOUR_WORDS,
  title: t('work.taskHead'),
  workCenter: t('common.workCenter'),
  grade: t('common.grade'),
  price: t('work.fixedPrice'),
  costCode: t('work.costCode'),
};
/** What is wrong with a task: hours that cannot be read at once, all else when it was sent. */
const errorOf = (i: number): string => {
  const task = tasks.value[i];
  const typed = task ? HOURS.filter((field) => !areHours(task[field])) : [];
  const isTyped = (field: string) => typed.some((each) => each === field);
  const sent = Object.entries(props.errors)
    .filter(([path]) => path.startsWith(`tasks[${i}].`))
    .map(([path, message]) => [path.replace(`tasks[${i}].`, ''), message] as const)
    .filter(([field]) => !isTyped(field));
  return [
    ...typed.map((field) => t('work.writeHoursSuchAs115Or125', { kind: HOUR_WORDS[field] })),
    ...sent.map(([field, message]) => `${FIELD_WORDS[field] ?? field}: ${message}`),
  ].join('; ');
};
</script>

<template>
  <div ref="list" class="tasks" role="group" :aria-label="t('work.tasksOfTheOrder')">
    <div class="head row-grid" aria-hidden="true">
      <span
        ><span class="visually-hidden">{{ t('work.orderOfTasks') }}</span></span
      >
      <span>{{ t('work.taskHead') }}</span>
      <span>{{ t('common.workCenter') }}</span>
      <span>{{ t('common.grade') }}</span>
      <span v-for="field in HOURS" :key="field" class="number">{{ HOUR_WORDS[field] }}</span>
      <span class="scale">{{ t('work.estimatedHead') }}</span>
      <span class="number">{{ t('work.cost') }}</span>
      <span
        ><span class="visually-hidden">{{ t('work.acts') }}</span></span
      >
    </div>
    <div
      v-for="(task, i) in tasks"
      :key="task.id ?? `new-${i}`"
      class="task"
      :class="{ wrong: errorOf(i) }"
      @keydown="onKey($event, i)"
    >
      <div class="row-grid">
        <span class="grip">
          <PlainButton
            class="handle"
            :aria-label="
              t('work.moveDragOrAltAndAnArrow', {
                task: task.title || t('work.taskNumberWord', { number: i + 1 }),
              })
            "
          >
            <span class="mono">{{ (i + 1) * 10 }}</span>
          </PlainButton>
        </span>
        <span
          ><BFormInput
            v-model="task.title"
            size="sm"
            :aria-label="t('work.taskNumber', { number: i + 1 })"
            required
        /></span>
        <span
          ><BFormInput
            v-model="task.workCenter"
            size="sm"
            list="work-centers"
            :aria-label="t('work.workCenterOfTask', { number: i + 1 })"
        /></span>
        <span>
          <BFormSelect
            v-model="task.grade"
            size="sm"
            :aria-label="t('work.gradeOfTask', { number: i + 1 })"
            required
          >
            <option v-for="grade in preparation?.grades ?? []" :key="grade.id" :value="grade.id">
              {{ grade.name }}
            </option>
          </BFormSelect>
        </span>
        <span v-for="field in HOURS" :key="field">
          <BFormInput
            v-model="task[field]"
            size="sm"
            class="figure number"
            inputmode="decimal"
            :placeholder="t('work.hMm')"
            :state="areHours(task[field]) ? null : false"
            :aria-label="t('work.hoursOfTask', { kind: HOUR_WORDS[field], number: i + 1 })"
          />
        </span>
        <span class="scale">
          <span
            class="bar"
            :style="{ width: `${((estimate.tasks[i]?.seconds ?? 0) / longest) * 100}%` }"
          ></span>
          <span class="figure hours">{{
            estimate.tasks[i]?.seconds ? desk.hours(estimate.tasks[i]?.seconds ?? 0) : '–'
          }}</span>
        </span>
        <span class="figure number">{{
          desk.money(formatCents(estimate.tasks[i]?.cost ?? (0 as never)))
        }}</span>
        <span class="acts">
          <BButton
            variant="quiet"
            size="sm"
            :aria-expanded="opened === i"
            @click="opened = opened === i ? null : i"
          >
            {{ t('work.more') }}
          </BButton>
          <BButton variant="quiet" size="sm" @click="splitTask(i)">{{ t('common.split') }}</BButton>
          <BButton variant="quiet" size="sm" @click="tasks.splice(i, 1)">{{ t('common.remove') }}</BButton>
        </span>
      </div>
      <p v-if="errorOf(i)" class="attention wrong-words" role="alert">{{ errorOf(i) }}</p>
      <div v-if="opened === i && tasks[i]" class="details">
        <StepFields
          v-model="tasks[i]"
          :preparation="preparation"
          :name="task.title || `task ${i + 1}`"
          :instructions-sum="sayInstructions(task, quantity, desk.hours)"
        >
          <FormField
            v-if="desk.uses('costCode') || task.costCode"
            v-slot="{ id }"
            :label="t('work.costCode')"
          >
            <BFormInput :id="id" v-model="task.costCode" size="sm" list="cost-codes" />
          </FormField>
          <CheckField
            v-if="desk.uses('optional') || task.isOptional"
            v-model="task.isOptional"
            class="check"
            >{{ t('work.optionalMayBeDeclined') }}</CheckField
          >
          <AssignedField
            v-if="desk.uses('assigned') || task.assigned.length > 0"
            v-model="task.assigned"
            :preparation="preparation"
          />
          <ChargeFields v-if="desk.uses('charge') || task.charge" v-model="task.charge" />
        </StepFields>
      </div>
    </div>
    <datalist id="work-centers">
      <option v-for="each in preparation?.workCenters ?? []" :key="each" :value="each"></option>
    </datalist>
    <datalist id="cost-codes">
      <option v-for="each in preparation?.costCodes ?? []" :key="each" :value="each"></option>
    </datalist>
    <p v-if="tasks.length === 0" class="quiet none">
      {{ t('work.noTasksYetADraftCanBeSavedWithout') }}
    </p>
    <BButton variant="quiet" class="add" @click="tasks.push(newTask())">{{ t('work.addATask') }}</BButton>
  </div>
</template>

<style scoped lang="scss">
.tasks {
  background: var(--sheet);
  border-top: 1px solid var(--ink);
}
.row-grid {
  display: grid;
  grid-template-columns:
    30px minmax(140px, 1.5fr) minmax(150px, 1.5fr) minmax(140px, 1fr) 60px 60px 66px minmax(70px, 0.6fr)
    86px 186px;
  gap: 6px;
  align-items: center;
  padding: 5px 10px 5px 0;
}
.head {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.task {
  border-top: 1px solid var(--line);
}
.sortable-ghost {
  background: var(--action-tint);
}
.wrong {
  box-shadow: inset 4px 0 var(--attention);
}
.wrong-words {
  margin: 0;
  padding: 0 10px 6px 54px;
}
.handle {
  width: 30px;
  height: 31px;
  background: none;
  border: 0;
  color: var(--ink-2);
  cursor: grab;
}
.number {
  text-align: right;
}
.scale {
  position: relative;
  min-height: 31px;
  border-left: 1px solid var(--line);
}
.head .scale {
  padding-left: 6px;
  min-height: 0;
}
.bar {
  position: absolute;
  inset: auto auto 0 0;
  height: 6px;
  background: var(--bar);
}
.hours {
  position: relative;
  padding-left: 6px;
  line-height: 23px;
}
.acts {
  display: flex;
  gap: 4px;
}
.details {
  padding: 0 10px 0 54px;
  background: var(--paper);
}
.none {
  padding: 12px 10px 0;
}
.add {
  margin: 10px;
}
.check {
  align-self: end;
}
@media (max-width: 1100px) {
  .head {
    display: none;
  }
  .row-grid {
    grid-template-columns: 46px repeat(3, 1fr);
  }
  .scale,
  .acts {
    grid-column: span 2;
  }
}
</style>
