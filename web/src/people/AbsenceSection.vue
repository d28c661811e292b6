<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref, watch } from 'vue';
import { ABSENCE_KINDS } from '@wergon/core/people';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ResponseOf } from '@wergon/contract/routes';
import { callRoute, hoursText, sayAroundAbsence, sayDate, useAct, useDesk } from '../kit/index.ts';
import { CheckField, DateField, DayHours } from '../kit/parts/index.ts';
import { sayTerm, t } from '../words/index.ts';

/** When somebody is away: days, or hours of them. */
const props = defineProps<{ technician: string }>();
const desk = useDesk();
const params = computed(() => ({ technician: props.technician }));
const query = useQuery({
  queryKey: ['plan', params],
  queryFn: () => callRoute('plan', { params: params.value }),
});
const absences = computed(() => query.data.value?.absences ?? []);
const { act, problem, isBusy } = useAct();
const fresh = reactive({
  ...{ from: '', to: '', hours: '', isPaid: true },
  kind: 'holiday' as (typeof ABSENCE_KINDS)[number],
});
watch(
  () => fresh.from,
  (day) => {
    if (fresh.to < day) fresh.to = day;
  },
);
/** What stands already on the days that were entered last. */
const around = ref<ResponseOf<'addAbsence'> | null>(null);
async function add(): Promise<void> {
  const body = { ...fresh, hours: hoursText(fresh.hours) };
  around.value = (await act(() => callRoute('addAbsence', { params: params.value, body }))) ?? null;
}
function remove(day: LocalDay) {
  const text = formatDay(day);
  return act(() => callRoute('removeAbsence', { params: params.value, body: { from: text, to: text } }));
}
const sayAbsence = ({ kind, isPaid, seconds }: (typeof absences.value)[number]): string =>
  [
    sayTerm('absences', kind),
    seconds === null ? '' : desk.hours(seconds),
    isPaid ? t('common.paid') : t('common.notPaid'),
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section>
    <h2>{{ t('people.absences') }}</h2>
    <form v-if="desk.may('people.change')" class="inline" @submit.prevent="add">
      <label
        >{{ t('common.from') }}
        <DateField v-model="fresh.from" :label="t('people.firstDayOfTheAbsence')" required
      /></label>
      <label
        >{{ t('common.toWord') }}
        <DateField v-model="fresh.to" :label="t('people.lastDayOfTheAbsence')" required
      /></label>
      <label
        >{{ t('common.why') }}
        <BFormSelect v-model="fresh.kind">
          <option v-for="kind in ABSENCE_KINDS" :key="kind" :value="kind">{{ t(`absences.${kind}`) }}</option>
        </BFormSelect></label
      >
      <label>{{ t('common.hours') }} <DayHours v-model="fresh.hours" /></label>
      <CheckField v-model="fresh.isPaid" class="check">{{ t('common.paid') }}</CheckField>
      <BButton type="submit" variant="quiet" :disabled="isBusy">{{ t('people.addAbsence') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    <p v-for="words in sayAroundAbsence(around)" :key="words" class="attention" role="status">{{ words }}</p>
    <p v-if="query.data.value && absences.length === 0" class="quiet">
      {{ t('people.noneInTheLastTwoMonthsAndNone') }}
    </p>
    <ul v-else class="absences">
      <li v-for="each in absences" :key="each.day">
        <span>{{ sayDate(each.day) }}</span>
        <span>{{ sayAbsence(each) }}</span>
        <BButton v-if="desk.may('people.change')" variant="quiet" size="sm" @click="remove(each.day)">
          {{ t('common.remove') }}
        </BButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.absences {
  max-width: 560px;
  padding: 0;
  list-style: none;
}
.absences li {
  display: grid;
  grid-template-columns: 120px 1fr auto;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
