<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, reactive } from 'vue';
import { formatDay } from '@wergon/core/time';
import { callRoute, sayDate, useAct, useDesk, yearOf } from '../kit/index.ts';
import { DateField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Hours of a week that somebody is paid at the least, by the day from which they are. */
const props = defineProps<{ technician: string }>();
const desk = useDesk();
const params = computed(() => ({ technician: props.technician }));
const query = useQuery({
  queryKey: ['guarantees', params],
  queryFn: () => callRoute('guarantees', { params: params.value }),
});
const guarantees = computed(() => query.data.value?.guarantees ?? []);
const { act, problem, isBusy } = useAct();
const fresh = reactive({ from: '', hours: '' });
async function put(from: string, hours: string | null): Promise<void> {
  const body = { from, hours: hours === null ? null : hours.trim().replace(',', '.') };
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
    <ul v-else class="records">
      <li v-for="each in guarantees" :key="each.from">
        <span>{{ t('people.hoursAWeek', { hours: each.hours }) }}</span>
        <span>{{ t('people.fromDayGroup', { day: sayDate(each.from), year: yearOf(each.from) }) }}</span>
        <BButton
          v-if="desk.may('people.change')"
          variant="quiet"
          size="sm"
          @click="put(formatDay(each.from), null)"
        >
          {{ t('common.remove') }}
        </BButton>
      </li>
    </ul>
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

<style scoped>
.records {
  max-width: 640px;
  padding: 0;
  list-style: none;
}
.records li {
  display: grid;
  grid-template-columns: 1fr 200px auto;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
