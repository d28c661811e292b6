<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import { ABSENCE_KINDS } from '@wergon/core/people';
import { callRoute, hoursText, useAct, useDesk, useToday, yearOf } from '../kit/index.ts';
import { LeaveBalances } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Hours a year that somebody may be away, if the shop keeps count of them, and what is left. */
const props = defineProps<{ technician: string }>();
const desk = useDesk();
const today = useToday();
const params = computed(() => ({ technician: props.technician }));
/** The year that runs, the one before and the next. */
const thisYear = Number(yearOf(today.value));
const years = [thisYear - 1, thisYear, thisYear + 1];
const year = ref(thisYear);
const query = useQuery({
  queryKey: ['leave-balances', params, year],
  queryFn: () => callRoute('leaveBalances', { params: params.value, query: { year: String(year.value) } }),
  placeholderData: keepPreviousData,
});
const balances = computed(() => query.data.value?.balances ?? []);
const { act, problem, isBusy } = useAct();
const fresh = reactive({ kind: 'holiday' as (typeof ABSENCE_KINDS)[number], hours: '' });
async function save(): Promise<void> {
  const body = { year: year.value, kind: fresh.kind, hours: hoursText(fresh.hours) };
  const done = await act(() => callRoute('saveAllowance', { params: params.value, body }));
  if (done !== undefined) fresh.hours = '';
}
</script>

<template>
  <section>
    <h2>{{ t('people.allowance') }}</h2>
    <p class="lead-words">{{ t('people.allowanceLead') }}</p>
    <p v-if="query.data.value && balances.length === 0" class="quiet">
      {{ t('people.noAllowance', { year }) }}
    </p>
    <LeaveBalances v-else-if="query.data.value" :year="query.data.value.year" :balances="balances" />
    <form class="inline" @submit.prevent="save">
      <BFormSelect v-model="year" class="figure" :aria-label="t('people.yearWord')">
        <option v-for="each in years" :key="each" :value="each">{{ each }}</option>
      </BFormSelect>
      <template v-if="desk.may('people.change')">
        <BFormSelect v-model="fresh.kind" :aria-label="t('common.why')">
          <option v-for="kind in ABSENCE_KINDS" :key="kind" :value="kind">{{ t(`absences.${kind}`) }}</option>
        </BFormSelect>
        <BFormInput
          v-model="fresh.hours"
          class="hours"
          inputmode="decimal"
          :placeholder="t('people.hoursOfAYear')"
          :aria-label="t('people.hoursOfAYear')"
        />
        <BButton type="submit" variant="quiet" :disabled="isBusy">{{ t('people.allowThem') }}</BButton>
      </template>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.inline .hours.form-control {
  width: 150px;
}
</style>
