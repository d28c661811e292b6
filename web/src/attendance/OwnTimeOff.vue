<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, watch } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { ABSENCE_KINDS } from '@wergon/core/people';
import { callRoute, hoursText, sayDate, useAct, useDesk, useToday } from '../kit/index.ts';
import { DateField, LeaveBalances, DayHours } from '../kit/parts/index.ts';
import { sayTerm, t } from '../words/index.ts';

/** Somebody's own time off: asked for, how it stands, what is left of the year, and taken back. */
const desk = useDesk();
const today = useToday();
const query = useQuery({ queryKey: ['own-time-off'], queryFn: () => callRoute('ownTimeOff') });
const { act, problem, isBusy } = useAct();
const asked = reactive({
  ...{ from: '', to: '', hours: '', text: '' },
  kind: 'holiday' as (typeof ABSENCE_KINDS)[number],
});
watch(
  () => asked.from,
  (day) => {
    if (asked.to < day) asked.to = day;
  },
);
async function ask(): Promise<void> {
  const body = { ...asked, hours: hoursText(asked.hours) };
  const done = await act((once) => callRoute('askTimeOff', { body: { ...body, once } }));
  if (done !== undefined) Object.assign(asked, { from: '', to: '', hours: '', text: '' });
}
type Asked = ResponseOf<'ownTimeOff'>['requests'][number];
const withdraw = ({ request }: Asked) =>
  act((once) => callRoute('withdrawTimeOff', { body: { request, once } }));
const STANDINGS = {
  asked: t('attendance.notAnsweredYet'),
  granted: t('attendance.granted'),
  refused: t('attendance.notGranted'),
  'not-wanted': t('attendance.takesItBack'),
  'taken-back': t('attendance.takenBack'),
} as const;
/** Only what is still to come. */
const isTakeable = ({ standing, from }: Asked) =>
  (standing === 'asked' || standing === 'granted') && from > today.value;
const sayAsked = ({ kind, from, to, seconds }: Asked): string =>
  [
    from === to ? sayDate(from) : t('common.to', { day: sayDate(from), day2: sayDate(to) }),
    sayTerm('absences', kind),
    seconds === null ? '' : desk.hours(seconds),
  ]
    .filter(Boolean)
    .join(', ');
const sayAnswer = ({ standing, answer }: Asked): string =>
  [STANDINGS[standing], answer && (answer.text === '' ? answer.by : `${answer.text} (${answer.by})`)]
    .filter(Boolean)
    .join(' · ');
const requests = computed(() => query.data.value?.requests ?? []);
</script>

<template>
  <section :aria-label="t('attendance.timeOff')">
    <h2 class="list-head">{{ t('attendance.timeOff') }}</h2>
    <form class="ask" @submit.prevent="ask">
      <BFormSelect v-model="asked.kind" size="sm" :aria-label="t('common.why')">
        <option v-for="kind in ABSENCE_KINDS" :key="kind" :value="kind">{{ t(`absences.${kind}`) }}</option>
      </BFormSelect>
      <DateField v-model="asked.from" is-small required :label="t('attendance.firstDayOff')" />
      <DateField v-model="asked.to" is-small required :label="t('attendance.lastDayOff')" />
      <DayHours v-model="asked.hours" is-small />
      <BFormInput
        v-model="asked.text"
        size="sm"
        class="word"
        maxlength="500"
        :placeholder="t('attendance.aWordToIt')"
        :aria-label="t('attendance.aWordToIt')"
      />
      <BButton type="submit" variant="quiet" size="sm" :disabled="isBusy">{{
        t('attendance.askForIt')
      }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    <p v-if="query.data.value && requests.length === 0" class="quiet">{{ t('attendance.noTimeOffAsked') }}</p>
    <ul v-else>
      <li v-for="each in requests" :key="each.request">
        <span>{{ sayAsked(each) }}</span>
        <span :class="{ quiet: each.standing !== 'asked' }">{{ sayAnswer(each) }}</span>
        <BButton
          v-if="isTakeable(each)"
          variant="quiet"
          size="sm"
          :disabled="isBusy"
          @click="withdraw(each)"
          >{{ t('attendance.takeBack') }}</BButton
        >
      </li>
    </ul>
    <LeaveBalances
      v-if="query.data.value && query.data.value.balances.length > 0"
      :year="query.data.value.year"
      :balances="query.data.value.balances"
    />
  </section>
</template>

<style scoped>
section {
  margin-top: 28px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 4px 0 10px;
}
.ask > .form-select {
  width: 160px;
}
.word {
  flex: 1;
  min-width: 160px;
  max-width: 320px;
}
ul {
  max-width: 860px;
  margin: 0 0 16px;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: center;
  min-height: 34px;
  border-bottom: 1px solid var(--line);
}
</style>
