<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import type { RecurrenceJson } from '@wergon/contract/work';
import { formatDay } from '@wergon/core/time';
import { CADENCES } from '@wergon/core/work';
import { callRoute, useForm, useToday } from '../kit/index.ts';
import { CheckField, DateField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Which work on a unit comes back, and how often. */
const props = defineProps<{
  unit: string;
  /** Absent for one to be added. */
  recurrence: RecurrenceJson | undefined;
}>();
const emit = defineEmits<{ done: [] }>();
const today = useToday();
const standards = useQuery({ queryKey: ['standards'], queryFn: () => callRoute('standards') });
/** One that is switched off is offered only where it is what stands there. */
const jobs = computed(() =>
  (standards.data.value?.jobs ?? []).filter(({ id, isOff }) => !isOff || id === props.recurrence?.job),
);
const CADENCE_WORDS = { months: t('work.cadenceMonths'), hours: t('work.cadenceHours') } as const;
const begun = {
  job: (props.recurrence?.job ?? '') as string,
  kind: props.recurrence?.kind ?? ('months' as (typeof CADENCES)[number]),
  every: String(props.recurrence?.every ?? 12),
  lastDay: formatDay(props.recurrence?.lastDay ?? today.value),
  isOff: props.recurrence?.isOff ?? false,
};
const bodyOf = ({ every, ...rest }: typeof begun) => ({ ...rest, unit: props.unit, every: Number(every) });
const form = useForm(begun, 'saveRecurrence', bodyOf);
const { fields } = form;
let once: string = crypto.randomUUID();

async function save(): Promise<void> {
  const { recurrence } = props;
  const done = await form.send((written) =>
    recurrence
      ? callRoute('saveRecurrence', { params: { recurrence: recurrence.id }, body: bodyOf(written) })
      : callRoute('addRecurrence', { body: { ...bodyOf(written), once } }),
  );
  if (!done) return;
  once = crypto.randomUUID();
  emit('done');
}
</script>

<template>
  <form class="recurrence" novalidate @submit.prevent="save">
    <div class="fields">
      <FormField v-slot="{ id }" :label="t('work.jobHead')" field="job">
        <BFormSelect :id="id" v-model="fields.job">
          <option value="">{{ t('work.choose') }}</option>
          <option v-for="job in jobs" :key="job.id" :value="job.id">{{ job.title }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('work.everySoMany')" field="every">
        <BFormInput :id="id" v-model="fields.every" class="figure" inputmode="numeric" />
      </FormField>
      <FormField v-slot="{ id }" :label="t('work.howOften')" field="kind">
        <BFormSelect :id="id" v-model="fields.kind">
          <option v-for="kind in CADENCES" :key="kind" :value="kind">{{ CADENCE_WORDS[kind] }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('work.lastDoneOn')" field="lastDay">
        <DateField :id="id" v-model="fields.lastDay" />
      </FormField>
    </div>
    <CheckField v-if="recurrence" v-model="fields.isOff">{{ t('common.switchedOff') }}</CheckField>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <p class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
        t('work.saveRecurrence')
      }}</BButton>
      <BButton variant="quiet" @click="emit('done')">{{ t('common.leaveItAsItIs') }}</BButton>
    </p>
  </form>
</template>

<style scoped>
.recurrence {
  padding: 12px 16px;
  background: var(--band);
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 12px;
}
.acts {
  display: flex;
  gap: 8px;
  margin: 10px 0 0;
}
</style>
