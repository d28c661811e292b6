<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { formatDay, parseDay } from '@wergon/core/time';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant } from '@wergon/core/time';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { isAboveAttended } from '@wergon/core/pay';
import { callRoute, sayInstant, useDesk, useAct } from '../kit/index.ts';
import { QueryState } from '../kit/parts/index.ts';
import PeriodFrame from './PeriodFrame.vue';
import PeriodPeople from './PeriodPeople.vue';
import ReasonForm from './ReasonForm.vue';
import { usePayPeriods } from './usePayPeriods.ts';
import { BEYOND } from './overtimeWords.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const route = useRoute();
const search = ref('');
const { act, problem, isBusy } = useAct();
/** Whom and which day a link asks for. */
const asked = computed(() => {
  const { person = '', day = '' } = route.query;
  const parsed = parseDay(String(day));
  return { person: String(person), day: parsed.ok ? parsed.value : null };
});
/** The period to close next stands first: the oldest that is over and still open, else the one that runs. */
const periods = usePayPeriods(
  (known) =>
    known.find(
      (each) =>
        asked.value.day !== null && each.firstDay <= asked.value.day && asked.value.day <= each.lastDay,
    ) ?? known.findLast(({ state }) => state === 'over'),
);
const { firstDay, firstDayText } = periods;
const query = useQuery({
  queryKey: ['pay-period', firstDay],
  queryFn: () => callRoute('payPeriod', { query: { firstDay: firstDayText.value } }),
  enabled: computed(() => firstDay.value !== null),
  placeholderData: keepPreviousData,
});
const period = computed(() => query.data.value);
const paid = computed(() => {
  const { straight = 0, overtime = 0, double = 0 } = period.value?.totals.classes ?? {};
  return straight + overtime + double + (period.value?.totals.awaySeconds ?? 0);
});
/** Days whose overtime nobody has decided on, and on which this user can decide. */
const undecided = computed(() =>
  (period.value?.people ?? []).flatMap(({ technician, split: days }) =>
    days
      .filter(({ split, isDecidable }) => isDecidable && split !== 'decided')
      .map(({ day, stamp }) => ({ technician, day: formatDay(day), stamp, classes: null })),
  ),
);
/** What was taken last, in one press: it is left to the rule again in one. */
const taken = ref<readonly { readonly technician: TechnicianId; readonly day: string }[]>([]);
async function takeAll(): Promise<void> {
  const days = undecided.value;
  const done = await act(() =>
    callRoute('decideSplits', { body: { days, reason: t('pay.asTheRuleHasIt') } }),
  );
  if (done !== undefined) taken.value = days.map(({ technician, day }) => ({ technician, day }));
}
async function giveBack(): Promise<void> {
  const done = await act(() => callRoute('resetSplits', { body: { days: [...taken.value] } }));
  if (done !== undefined) taken.value = [];
}
const above = computed(() => (period.value?.people ?? []).filter(isAboveAttended));
const REFUSALS = {
  'not-over': t('pay.itClosesWhenItIsOver'),
  'earlier-open': t('pay.anEarlierPayPeriodIsStillOpen'),
  closed: '',
  'not-all-seen': t('pay.whoSeesEverybodyClosesIt'),
} as const;
const clock = (at: Instant | null) => (at !== null && desk.zone ? sayInstant(desk.zone, at) : '');
const close = () =>
  period.value &&
  void act(() =>
    callRoute('closePeriod', { body: { firstDay: firstDayText.value, stamp: period.value?.stamp ?? '' } }),
  );
const reopen = (reason: string) =>
  act(() => callRoute('reopenPeriod', { body: { firstDay: firstDayText.value, reason } }));
const print = () => window.print();
</script>

<template>
  <PeriodFrame
    v-model:search="search"
    :periods="periods"
    :shown="period"
    :name="t('common.pay')"
    :search-label="t('kit.findPersonDepartment')"
    class="pay"
  >
    <QueryState
      v-if="!period"
      :is-pending="query.isPending.value"
      :error="query.error.value ?? periods.query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span
          ><b class="figure">{{ desk.hours(paid) }}</b> {{ t('pay.paid') }}</span
        >
        <span v-for="of in BEYOND.filter((each) => period && period.totals.classes[each] > 0)" :key="of"
          ><b class="figure">{{ desk.hours(period.totals.classes[of]) }}</b> {{ t(`payClasses.${of}`) }}</span
        >
        <span v-if="period.totals.awaySeconds > 0"
          ><b class="figure">{{ desk.hours(period.totals.awaySeconds) }}</b> {{ t('pay.awayPaid') }}</span
        >
        <span
          ><b class="figure">{{ desk.hours(period.totals.attendedSeconds) }}</b>
          {{ t('common.attended') }}</span
        >
        <span :class="{ attention: period.totals.unapprovedSeconds > 0 }"
          ><b class="figure">{{ desk.hours(period.totals.unapprovedSeconds) }}</b>
          {{ t('common.notYetApproved') }}</span
        >
        <span v-if="period.totals.adjustedSeconds !== 0 || period.adjustments.length > 0"
          ><b class="figure">{{ desk.hours(period.totals.adjustedSeconds) }}</b>
          {{ t('pay.ofAdjustments') }}</span
        >
        <span v-if="period.totals.overhead !== null && Number(period.totals.overhead) !== 0"
          ><b class="figure">{{ desk.money(period.totals.overhead) }}</b>
          {{ t('pay.ofOvertimeNoJobBears') }}</span
        >
        <span v-if="period.totals.cost !== null" :title="desk.costTitle"
          ><b class="figure">{{ desk.money(period.totals.cost) }}</b> {{ desk.costWord }}</span
        >
      </p>
      <div class="state">
        <p v-if="period.state === 'closed'">
          {{
            t('pay.closedByWhatComesAfterIsAnAdjustment', {
              name: period.closedBy,
              time: clock(period.closedAt),
            })
          }}<br />
          <span class="mono head" :title="t('pay.hashOfTheJournalsLastEntryBefore')">{{
            t('pay.head', { head: period.head })
          }}</span>
        </p>
        <p v-else-if="period.refusal">{{ REFUSALS[period.refusal] }}</p>
        <p v-else-if="period.totals.unapprovedSeconds > 0">
          {{ t('pay.unapprovedTimeIsLeftOutAndBecomes') }}
        </p>
        <p v-else>{{ t('pay.everythingIsApproved') }}</p>
        <p v-if="period.state !== 'closed' && above.length > 0" class="attention">
          {{ t('pay.moreLaborThanAttendedTimeCheck', { n: above.length }) }}
        </p>
        <div class="acts">
          <BButton
            v-if="desk.may('pay.close') && period.state !== 'closed'"
            variant="primary"
            size="sm"
            :disabled="isBusy || period.refusal !== null"
            @click="close"
          >
            {{ t('pay.closeThisPeriod') }}
          </BButton>
          <BButton
            v-if="undecided.length > 0 && period.state !== 'closed'"
            variant="quiet"
            size="sm"
            :disabled="isBusy"
            @click="takeAll"
            >{{ t('pay.takeAllSplits', { n: undecided.length }) }}</BButton
          >
          <RouterLink
            v-if="period.state === 'closed'"
            :to="{ name: 'pay-file', query: { day: firstDayText } }"
            class="btn btn-quiet btn-sm"
            >{{ t('pay.payFileDots') }}</RouterLink
          >
          <BButton variant="quiet" size="sm" @click="print">{{ t('common.print') }}</BButton>
          <RouterLink
            v-if="period.totals.unapprovedSeconds > 0"
            :to="{ name: 'approve' }"
            class="btn btn-quiet btn-sm"
            >{{ t('common.approve') }}</RouterLink
          >
        </div>
      </div>
      <ReasonForm
        v-if="period.canReopen"
        :key="firstDayText"
        class="reopen"
        :label="t('pay.whyItIsReopened')"
        :placeholder="t('pay.reopenItBecause')"
        :press="t('common.reopen')"
        :is-busy="isBusy"
        @say="reopen"
      />
      <p v-if="taken.length > 0" class="told" role="status">
        {{ t('pay.splitsTaken', { n: taken.length }) }}
        <BButton size="sm" variant="quiet" :disabled="isBusy" @click="giveBack">{{
          t('common.undo')
        }}</BButton>
      </p>
      <p v-if="problem" class="told attention" role="alert">{{ problem }}</p>
      <PeriodPeople :period="period" :search="search" :opens="asked.person" />
    </template>
  </PeriodFrame>
</template>

<style scoped lang="scss">
.state {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 16px;
  p {
    margin: 0;
  }
}
.head {
  color: var(--ink-2);
  font-size: var(--text-xs);
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  gap: 8px;
}
.reopen {
  padding: 0 16px 8px;
}
.told {
  margin: 0;
  padding: 6px 16px;
}
@media print {
  .acts {
    display: none;
  }
}
</style>
