<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, sayLongDay, useAct, useDesk, useForm, useToday } from '../kit/index.ts';
import { DateField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** What the hour meter of a unit stood at, the last reading first; work by running hours comes due by it. */
const props = defineProps<{
  unit: string;
  readings: readonly { readonly id: string; readonly day: LocalDay; readonly hours: number }[];
}>();
const desk = useDesk();
const today = useToday();
const { act, problem, isBusy } = useAct();
const begun = { day: formatDay(today.value), hours: '' };
/** An empty field is no reading of 0. */
const bodyOf = ({ day, hours }: typeof begun) => ({
  day,
  hours: hours.trim() === '' ? Number.NaN : Number(hours),
});
const form = useForm(begun, 'addReading', bodyOf);
let once: string = crypto.randomUUID();

async function add(): Promise<void> {
  const done = await form.send((fields) =>
    callRoute('addReading', { params: { unit: props.unit }, body: { ...bodyOf(fields), once } }),
  );
  if (!done) return;
  once = crypto.randomUUID();
  form.reset({ day: formatDay(today.value), hours: '' });
}
const remove = (reading: string) =>
  act(() => callRoute('removeReading', { params: { unit: props.unit, reading } }));
</script>

<template>
  <section :aria-label="t('work.readings')">
    <h2 class="list-head">{{ t('work.readings') }}</h2>
    <p v-if="readings.length === 0" class="quiet none">{{ t('work.noReadings') }}</p>
    <ul>
      <li v-for="{ id, day, hours } in readings.slice(0, 6)" :key="id">
        <span class="figure">{{ sayLongDay(day) }}</span> <b class="figure">{{ hours }} h</b>
        <BButton
          v-if="desk.may('work.change')"
          variant="quiet"
          size="sm"
          :disabled="isBusy"
          :aria-label="t('work.removeReadingOf', { day: sayLongDay(day) })"
          @click="remove(id)"
          >{{ t('common.remove') }}</BButton
        >
      </li>
    </ul>
    <form v-if="desk.may('work.change')" class="reading" novalidate @submit.prevent="add">
      <FormField v-slot="{ id }" :label="t('work.readingDay')" field="day">
        <DateField :id="id" v-model="form.fields.value.day" />
      </FormField>
      <FormField v-slot="{ id }" :label="t('work.readingHours')" field="hours">
        <BFormInput :id="id" v-model="form.fields.value.hours" class="figure" inputmode="numeric" />
      </FormField>
      <BButton type="submit" variant="quiet" :disabled="form.isBusy.value">{{
        t('work.addReading')
      }}</BButton>
    </form>
    <p v-if="form.problem.value || problem" class="attention none" role="alert">
      {{ form.problem.value || problem }}
    </p>
  </section>
</template>

<style scoped>
ul {
  margin: 6px 16px;
  padding: 0;
  list-style: none;
}
li > * {
  margin-right: 14px;
}
.none {
  margin: 8px 16px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin: 8px 16px;
}
</style>
