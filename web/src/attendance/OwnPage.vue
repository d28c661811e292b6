<script setup lang="ts">
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { formatDay } from '@wergon/core/time';
import { callRoute, sayDay, sayMonthDay, useAct, useDays } from '../kit/index.ts';
import { CheckField, DeskFrame, QueryState } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';
import CardTable from './CardTable.vue';
import OwnTimeOff from './OwnTimeOff.vue';

/** Somebody's own time at the desk: their card by week, and the days that they are asked to confirm. */
const { today, firstDay, lastDay, steps } = useDays('calendar week');
/** Days that are yet to come are left out. */
const asked = computed(() => ({
  from: formatDay(firstDay.value),
  to: formatDay(lastDay.value < today.value ? lastDay.value : today.value),
}));
const queries = useQueryClient();
const query = useQuery({
  queryKey: ['own-card', asked],
  queryFn: () => callRoute('ownCard', { query: asked.value }),
  placeholderData: keepPreviousData,
});
const hasStretches = ref(false);
const { act, problem, isBusy } = useAct();
const isConfirmed = ref(false);
const waiting = computed(() => query.data.value?.toConfirm ?? []);
async function confirm(): Promise<void> {
  const days = waiting.value.map(({ day, stamp }) => ({ day: formatDay(day), stamp }));
  isConfirmed.value = (await act(() => callRoute('confirmOwnDays', { body: { days } }))) !== undefined;
  await queries.invalidateQueries({ queryKey: ['own-card'] });
}
</script>

<template>
  <DeskFrame
    :lead="t('attendance.aNightShiftCountsOnTheDayItBegan')"
    :title="t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) })"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    v-on="steps"
  >
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <div v-else class="own">
      <h1 class="list-head">
        {{ query.data.value.card.name }}
        <CheckField v-model="hasStretches" class="stretches">{{ t('attendance.showStretches') }}</CheckField>
      </h1>
      <div v-if="waiting.length > 0" class="confirm">
        <p>
          {{ t('attendance.daysToConfirm', { days: sayList(waiting.map(({ day }) => sayDay(day))) }) }}
        </p>
        <BButton variant="primary" :disabled="isBusy" @click="confirm">{{
          t('attendance.theyAreRight')
        }}</BButton>
      </div>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      <p v-else-if="isConfirmed && waiting.length === 0" role="status">{{ t('attendance.confirmed') }}</p>
      <CardTable :card="query.data.value.card" :has-stretches="hasStretches" />
      <OwnTimeOff />
    </div>
  </DeskFrame>
</template>

<style scoped>
h1 {
  display: flex;
  gap: 24px;
  align-items: center;
}
.own {
  padding: 8px 16px 24px;
}
.stretches {
  font-size: var(--text-s);
  font-weight: 400;
}
.confirm {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  padding: 8px 12px;
  margin-bottom: 8px;
  background: var(--action-tint);
}
.confirm p {
  margin: 0;
}
</style>
