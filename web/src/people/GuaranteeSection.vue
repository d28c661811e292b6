<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, reactive } from 'vue';
import { formatDay } from '@wergon/core/time';
import { callRoute, hoursText, useAct, useDesk } from '../kit/index.ts';
import { DateField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import DatedRecords from './DatedRecords.vue';

/** Hours of a week that somebody is paid at the least, by the day from which they are. */
const props = defineProps<{ technician: string }>();
const desk = useDesk();
const params = computed(() => ({ technician: props.technician }));
const query = useQuery({
  queryKey: ['guarantees', params],
  queryFn: () => callRoute('guarantees', { params: params.value }),
});
const guarantees = computed(() =>
  (query.data.value?.guarantees ?? []).map(({ from, hours }) => ({
    ...{ from, words: t('people.hoursAWeek', { hours }) },
  })),
);
const { act, problem, isBusy } = useAct();
const fresh = reactive({ from: '', hours: '' });
async function put(from: string, hours: string | null): Promise<void> {
  const body = { from, hours: hours === null ? null : hoursText(hours) };
  const done = await act(() => callRoute('saveGuarantee', { params: params.value, body }));
  if (done === undefined) return;
  Object.assign(fresh, { from: '', hours: '' });
  await query.refetch();
}
</script>

<template>
  <section>
    <h2>{{ t('people.guarantee') }}</h2>
    <p class="lead-words">{{ t('people.guaranteeLead') }}</p>
    <p v-if="query.data.value && guarantees.length === 0" class="quiet">{{ t('people.noGuarantee') }}</p>
    <DatedRecords v-else :records="guarantees" @remove="put(formatDay($event), null)" />
    <form v-if="desk.may('people.change')" class="inline" @submit.prevent="put(fresh.from, fresh.hours)">
      <label
        >{{ t('common.from') }} <DateField v-model="fresh.from" :label="t('people.guaranteedFrom')" required
      /></label>
      <BFormInput
        v-model="fresh.hours"
        class="figure"
        inputmode="decimal"
        :placeholder="t('people.hoursOfAWeek')"
        :aria-label="t('people.hoursOfAWeek')"
      />
      <BButton type="submit" variant="quiet" :disabled="isBusy">{{ t('people.guaranteeThem') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
