<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import type { Preparation, StandardTaskJson } from '@wergon/contract/work';
import { callRoute, useDesk, useForm } from '../kit/index.ts';
import { CheckField, FormField } from '../kit/parts/index.ts';
import { HOURS, newTask, sayInstructions, stepBody, stepDraft } from './orderDraft.ts';
import ScopeFields from './ScopeFields.vue';
import { scopeBody, scopeDraft } from './scopeDraft.ts';
import StepFields from './StepFields.vue';
import { t } from '../words/index.ts';

const props = defineProps<{ preparation: Preparation | undefined; task?: StandardTaskJson }>();
const emit = defineEmits<{ done: [] }>();
const desk = useDesk();
const WORDS = {
  setupHours: t('work.setupHours'),
  runHours: t('work.runHours'),
  runHoursPerPiece: t('work.runHoursPerPiece'),
} as const;
const begun = {
  isOff: props.task?.isOff ?? false,
  task: props.task ? stepDraft(props.task) : newTask(),
  scope: scopeDraft(props.task?.scope),
};
const bodyOf = ({ isOff, task, scope }: typeof begun) => ({
  id: props.task?.id ?? null,
  version: props.task?.version ?? null,
  isOff,
  task: { ...stepBody(task), scope: scopeBody(scope) },
});
const form = useForm(begun, 'saveStandardTask', bodyOf);

async function save(): Promise<void> {
  const done = await form.send((fields) => callRoute('saveStandardTask', { body: bodyOf(fields) }));
  if (done) emit('done');
}
</script>

<template>
  <form class="task-form" novalidate @submit.prevent="save">
    <div class="fields">
      <FormField v-slot="{ id }" :label="t('work.standardTask')" class="wide" field="task.title">
        <BFormInput :id="id" v-model="form.fields.value.task.title" required />
      </FormField>
      <FormField v-slot="{ id }" :label="t('common.workCenter')">
        <BFormInput :id="id" v-model="form.fields.value.task.workCenter" list="standard-centers" />
      </FormField>
      <datalist id="standard-centers">
        <option v-for="each in preparation?.workCenters ?? []" :key="each" :value="each"></option>
      </datalist>
      <FormField v-slot="{ id }" :label="t('common.grade')" field="task.grade">
        <BFormSelect :id="id" v-model="form.fields.value.task.grade" required>
          <option v-for="grade in preparation?.grades ?? []" :key="grade.id" :value="grade.id">
            {{ grade.name }}
          </option>
        </BFormSelect>
      </FormField>
      <FormField
        v-for="field in HOURS"
        :key="field"
        v-slot="{ id }"
        :label="WORDS[field]"
        :field="`task.${field}`"
      >
        <BFormInput :id="id" v-model="form.fields.value.task[field]" class="figure" inputmode="decimal" />
      </FormField>
      <ScopeFields v-model="form.fields.value.scope" field="task.scope" />
    </div>
    <StepFields
      v-model="form.fields.value.task"
      :instructions-sum="sayInstructions(form.fields.value.task, 1, desk.hours)"
      :preparation="preparation"
      :name="form.fields.value.task.title || 'the task'"
    />
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
        t('work.saveStandardTask')
      }}</BButton>
      <BButton variant="quiet" @click="emit('done')">{{ t('common.leaveItAsItIs') }}</BButton>
      <CheckField v-if="task" v-model="form.fields.value.isOff" class="check">{{
        t('common.switchedOff')
      }}</CheckField>
    </div>
  </form>
</template>

<style scoped>
.task-form {
  padding: 12px 10px 16px;
  background: var(--band);
}
</style>
