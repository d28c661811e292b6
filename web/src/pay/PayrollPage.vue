<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { formatCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import type { PayrollJson } from '@wergon/contract/pay';
import { callRoute, sayInstant, sayMonthDay, useAct, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, DeskFrame, QueryState } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import PayWays from './PayWays.vue';
import PayrollFile from './PayrollFile.vue';

/** What payroll really paid for closed periods: taken from its file, and taken back as a whole. */
const desk = useDesk();
const query = useQuery({
  queryKey: ['payroll'],
  queryFn: () => callRoute('payroll'),
});
const imports = computed(() => query.data.value?.imports ?? []);
const mayTake = computed(() => desk.may('pay.close') && desk.may('rates.see'));
const { act, problem, isBusy } = useAct();
const taking = ref<string | null>(null);
const reason = ref('');
async function takeBack(id: string): Promise<void> {
  const done = await act(() => callRoute('withdrawPayroll', { body: { id, reason: reason.value } }));
  if (done === undefined) return;
  taking.value = null;
  reason.value = '';
}
type Import = PayrollJson['imports'][number];
const money = (amount: Cents) => desk.money(formatCents(amount));
const columns: readonly Column<Import>[] = [
  { id: 'name', title: t('pay.file'), isRowHead: true, value: ({ name }) => name },
  {
    id: 'periods',
    title: t('common.payPeriods'),
    value: ({ periods }) =>
      periods
        .map(({ firstDay, lastDay }) =>
          t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) }),
        )
        .join(', '),
  },
  { id: 'people', title: t('common.people'), class: 'number figure', value: ({ people }) => people },
  {
    id: 'amount',
    title: t('pay.paidByPayroll'),
    class: 'number figure',
    value: ({ amount }) => money(amount),
  },
  { id: 'notJobs', title: t('pay.noJobs'), class: 'number figure', value: ({ notJobs }) => money(notJobs) },
  { id: 'costed', title: t('pay.byTheRates'), class: 'number figure', value: ({ costed }) => money(costed) },
  {
    id: 'beyond',
    title: t('pay.beyondTheRates'),
    class: 'number figure',
    value: ({ amount, notJobs, costed }) => money((amount - notJobs - costed) as Cents),
  },
  {
    id: 'by',
    title: t('pay.taken'),
    class: 'aside',
    value: ({ at, by }) => t('pay.madeBy', { name: by, time: desk.zone ? sayInstant(desk.zone, at) : '' }),
  },
  { id: 'acts', class: 'acts-cell' },
];
</script>

<template>
  <DeskFrame :title="t('pay.whatPayrollPaid')" :lead="t('pay.payrollLead')">
    <PayWays />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <PayrollFile v-if="mayTake" @done="query.refetch()" />
      <p v-else class="told quiet">{{ t('pay.whoMayTakePayroll') }}</p>
      <section class="desk-part">
        <h2>{{ t('pay.takenBefore') }}</h2>
        <p v-if="imports.length === 0" class="quiet">{{ t('pay.nothingTakenYet') }}</p>
        <DataTable
          v-else
          class="across imports"
          :rows="imports"
          :columns="columns"
          :row-key="({ id }) => id"
          :row-class="(each) => ({ withdrawn: each.withdrawnBy !== null })"
          :is-expanded="(each) => each.id === taking"
        >
          <template #acts="{ row }">
            <span v-if="row.withdrawnBy !== null" class="quiet">{{
              t('pay.takenBackBy', { name: row.withdrawnBy, reason: row.reason ?? '' })
            }}</span>
            <BButton
              v-else-if="mayTake"
              variant="quiet"
              size="sm"
              @click="taking = taking === row.id ? null : row.id"
              >{{ t('pay.takeBack') }}</BButton
            >
          </template>
          <template #expanded="{ row }">
            <form class="reason" @submit.prevent="takeBack(row.id)">
              <BFormInput
                v-model="reason"
                size="sm"
                maxlength="200"
                :aria-label="t('pay.whyPayrollTakenBack')"
                :placeholder="t('pay.takeBackBecause')"
              />
              <BButton type="submit" variant="primary" size="sm" :disabled="isBusy || reason.trim() === ''">{{
                t('pay.takeBack')
              }}</BButton>
            </form>
          </template>
        </DataTable>
        <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      </section>
    </template>
  </DeskFrame>
</template>

<style scoped>
.told {
  margin: 0;
  padding: 10px 16px;
}
.imports {
  max-width: none;
}
.reason {
  display: flex;
  gap: 8px;
  max-width: 560px;
}
:deep(.withdrawn td),
:deep(.withdrawn th) {
  color: var(--ink-2);
}
@media (max-width: 900px) {
  :deep(.aside) {
    display: none;
  }
}
</style>
