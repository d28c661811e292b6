<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, useTemplateRef } from 'vue';
import type { StandardJobJson, StandardTaskJson } from '@wergon/contract/work';
import { callRoute, useForm, useSortable } from '../kit/index.ts';
import { CheckField, FormField, PickField } from '../kit/parts/index.ts';
import ScopeFields from './ScopeFields.vue';
import { scopeBody, scopeDraft } from './scopeDraft.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ tasks: readonly StandardTaskJson[]; job?: StandardJobJson }>();
const emit = defineEmits<{ done: [] }>();
const { job } = props;
const begun = {
  isOff: job?.isOff ?? false,
  job: {
    title: job?.title ?? '',
    scope: scopeDraft(job?.scope),
    steps: (job?.steps ?? []).map((step) => ({ ...step })),
  },
};
const bodyOf = ({ isOff, job: { title, scope, steps } }: typeof begun) => ({
  id: props.job?.id ?? null,
  version: props.job?.version ?? null,
  isOff,
  job: { title, steps, scope: scopeBody(scope) },
});
const form = useForm(begun, 'saveStandardJob', bodyOf);
const written = computed(() => form.fields.value.job);
const titles = computed(() => new Map(props.tasks.map(({ id, title }) => [id, title])));
const left = computed(() =>
  props.tasks.filter(({ id, isOff }) => !isOff && !written.value.steps.some(({ task }) => task === id)),
);

function add(picked: string): void {
  const task = props.tasks.find(({ id }) => id === picked);
  if (task) written.value.steps.push({ task: task.id, isRequired: true });
}
function move(from: number, to: number): void {
  const { steps } = written.value;
  const [step] = steps.splice(from, 1);
  if (step) steps.splice(to, 0, step);
}
useSortable(useTemplateRef<HTMLElement>('list'), { rows: 'li', handle: '.name', move });
async function save(): Promise<void> {
  const done = await form.send((fields) => callRoute('saveStandardJob', { body: bodyOf(fields) }));
  if (done) emit('done');
}
</script>

<template>
  <form class="job-form" novalidate @submit.prevent="save">
    <div class="fields">
      <FormField v-slot="{ id }" :label="t('work.standardJob')" class="wide" field="job.title">
        <BFormInput :id="id" v-model="written.title" required />
      </FormField>
      <ScopeFields v-model="written.scope" field="job.scope" />
    </div>
    <ol ref="list">
      <li v-for="(step, i) in written.steps" :key="step.task">
        <span class="name">{{ titles.get(step.task) }}</span>
        <CheckField v-model="step.isRequired" class="check">{{ t('work.required') }}</CheckField>
        <BButton
          variant="quiet"
          size="sm"
          :disabled="i === 0"
          :aria-label="t('work.stepSooner', { title: titles.get(step.task) })"
          @click="move(i, i - 1)"
        >
          {{ t('work.sooner') }}
        </BButton>
        <BButton
          variant="quiet"
          size="sm"
          :disabled="i === written.steps.length - 1"
          :aria-label="t('work.stepLater', { title: titles.get(step.task) })"
          @click="move(i, i + 1)"
        >
          {{ t('work.later') }}
        </BButton>
        <BButton variant="quiet" size="sm" @click="written.steps.splice(i, 1)">
          {{ t('common.remove') }}
        </BButton>
      </li>
    </ol>
    <PickField class="add" :aria-label="t('work.addAStandardTask')" @pick="add">
      <option value="">{{ t('work.chooseAStandardTask') }}</option>
      <option v-for="task in left" :key="task.id" :value="task.id">{{ task.title }}</option>
    </PickField>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
        t('work.saveStandardJob')
      }}</BButton>
      <BButton variant="quiet" @click="emit('done')">{{ t('common.leaveItAsItIs') }}</BButton>
      <CheckField v-if="job" v-model="form.fields.value.isOff" class="check">{{
        t('common.switchedOff')
      }}</CheckField>
    </div>
  </form>
</template>

<style scoped>
.job-form {
  padding: 12px 10px 16px;
  background: var(--band);
}
ol {
  margin: 12px 0 8px;
}
li {
  padding: 3px 0;
}
.name {
  display: inline-block;
  min-width: 240px;
}
li .btn {
  margin-right: 4px;
}
.add {
  width: auto;
}
.name {
  cursor: grab;
}
</style>
