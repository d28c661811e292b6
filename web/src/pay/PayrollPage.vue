<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { PayrollJson } from '@wergon/contract/pay';
import { callRoute, sayInstant, sayMonthDay, useAct, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, DeskFrame, QueryState } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import PayWays from './PayWays.vue';
import PayrollFile from './PayrollFile.vue';
import ReasonForm from './ReasonForm.vue';
import { payrollColumns } from './payrollColumns.ts';

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
async function takeBack(id: string, reason: string): Promise<void> {
  const done = await act(() => callRoute('withdrawPayroll', { body: { id, reason } }));
  if (done !== undefined) taking.value = null;
}
type Import = PayrollJson['imports'][number];
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
  ...payrollColumns<Import>(desk),
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
            <ReasonForm
              :label="t('pay.whyPayrollTakenBack')"
              :placeholder="t('pay.takeBackBecause')"
              :press="t('pay.takeBack')"
              :is-busy="isBusy"
              @say="takeBack(row.id, $event)"
            />
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
