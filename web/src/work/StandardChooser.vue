<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { chooseSteps, fitJob, isMeantFor } from '@wergon/core/work';
import type { OrderSubject, StandardId } from '@wergon/core/work';
import { callRoute } from '../kit/index.ts';
import { stepDraft } from './orderDraft.ts';
import type { TaskDraft } from './orderDraft.ts';
import { CheckField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ subject: OrderSubject }>();
const emit = defineEmits<{ take: [tasks: readonly TaskDraft[], title: string] }>();
const route = useRoute();
const query = useQuery({ queryKey: ['standards'], queryFn: () => callRoute('standards') });
const chosenId = ref(String(route.query['standard'] ?? ''));
const chosenOptional = ref<StandardId[]>([]);

const tasks = computed(() => new Map((query.data.value?.tasks ?? []).map((task) => [task.id, task])));
const jobs = computed(() =>
  (query.data.value?.jobs ?? [])
    .filter(({ isOff }) => !isOff)
    .map((job) => ({ ...job, ...fitJob(job, (id) => tasks.value.get(id)?.scope, props.subject) }))
    .sort(
      (a, b) => Number(b.scope.kind !== 'general' && b.fits) - Number(a.scope.kind !== 'general' && a.fits),
    ),
);
const fitting = computed(() => jobs.value.filter(({ fits, id }) => fits || id === chosenId.value));
const job = computed(() => jobs.value.find(({ id }) => id === chosenId.value));
const single = computed(() => [...tasks.value.values()].find(({ id }) => id === chosenId.value));
const singles = computed(() =>
  [...tasks.value.values()].filter(({ isOff, scope }) => !isOff && isMeantFor(scope, props.subject)),
);
const optional = computed(() => job.value?.steps.filter(({ isRequired }) => !isRequired) ?? []);
watch(job, () => (chosenOptional.value = []));

const fromStandard = (id: StandardId, jobId: string | null, jobVersion: number | null): TaskDraft[] => {
  const task = tasks.value.get(id);
  return task
    ? [{ ...stepDraft(task), origin: { job: jobId, jobVersion, task: id, taskVersion: task.version } }]
    : [];
};
function take(): void {
  if (job.value) {
    const { id, version, steps, title } = job.value;
    const chosen = chooseSteps(steps, new Set(chosenOptional.value));
    emit(
      'take',
      chosen.flatMap(({ task }) => fromStandard(task, id, version)),
      title,
    );
  } else if (single.value) emit('take', fromStandard(single.value.id, null, null), '');
  chosenId.value = '';
}
</script>

<template>
  <div v-if="query.data.value && (jobs.length > 0 || tasks.size > 0)" class="chooser">
    <label for="standard">{{ t('work.fromAStandard') }}</label>
    <BFormSelect id="standard" v-model="chosenId">
      <option value="">{{ t('work.choose') }}</option>
      <optgroup v-if="fitting.length > 0" :label="t('work.standardJobs')">
        <option v-for="each in fitting" :key="each.id" :value="each.id">
          {{ each.title
          }}{{ each.scope.kind === 'general' ? '' : `, ${t('work.for', { name: each.scope.name })}` }}
        </option>
      </optgroup>
      <optgroup v-if="singles.length > 0" :label="t('work.singleTasks')">
        <option v-for="task in singles" :key="task.id" :value="task.id">
          {{ task.title
          }}{{
            !task.scope || task.scope.kind === 'general'
              ? ''
              : `, ${t('work.for', { name: task.scope.name })}`
          }}
        </option>
      </optgroup>
    </BFormSelect>
    <template v-if="job">
      <CheckField
        v-for="step in optional"
        :key="step.task"
        v-model="chosenOptional"
        class="check"
        :value="step.task"
        >{{ t('work.withWhat', { more: tasks.get(step.task)?.title }) }}
      </CheckField>
    </template>
    <BButton v-if="job || single" variant="quiet" @click="take">
      {{ job ? t('work.addItsTasks') : t('work.addThisTask') }}
    </BButton>
  </div>
</template>

<style scoped>
.chooser {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 0 0 14px;
}
label {
  font-weight: 700;
}
.check {
  font-weight: 400;
}
.form-select {
  width: auto;
  min-width: 260px;
}
</style>
