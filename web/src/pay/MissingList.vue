<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { PayFileJson } from '@wergon/contract/pay';
import { sayDate, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { CheckField, DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import { sayKind } from './payFileWords.ts';

/** What is missing before a pay file can be made: each thing is put right where it belongs, or left out by name. */
type Missing = PayFileJson['missing'][number];
const props = defineProps<{ missing: readonly Missing[] }>();
const putOff = defineModel<readonly string[]>({ required: true });
const desk = useDesk();
const sayMissing = ({ of, name, kind, day }: Missing): string => {
  if (of === 'number') return t('pay.noPayrollNumber', { name });
  if (of === 'code') return t('pay.noCode', { kind: sayKind(kind ?? '') });
  return t('pay.dayNotApproved', { name, day: day === null ? '' : sayDate(day) });
};
const columns: readonly Column<Missing>[] = [
  { id: 'what', title: t('pay.beforeThePayFile'), isRowHead: true, value: sayMissing },
  {
    id: 'hours',
    title: t('payFields.hours'),
    class: 'number figure',
    value: ({ seconds }) => desk.hours(seconds),
  },
  { id: 'putRight', title: '' },
  { id: 'putOff', title: t('pay.leaveItOutThisTime') },
];
const leaveAllOut = () => (putOff.value = props.missing.map(({ key }) => key));
</script>

<template>
  <section class="missing">
    <DataTable :rows="missing" :columns="columns" :row-key="({ key }) => key">
      <template #putRight="{ row }">
        <RouterLink
          v-if="row.of === 'number' && desk.may('people.see')"
          :to="{ name: 'person', params: { technician: row.technician ?? '' } }"
          >{{ t('pay.putRight') }}</RouterLink
        >
        <RouterLink v-else-if="row.of === 'day'" :to="{ name: 'approve' }">{{
          t('common.approve')
        }}</RouterLink>
        <span v-else class="quiet">{{ t('pay.underPayCodes') }}</span>
      </template>
      <template #putOff="{ row }">
        <CheckField v-model="putOff" :value="row.key"
          ><span class="visually-hidden">{{ sayMissing(row) }}</span></CheckField
        >
      </template>
    </DataTable>
    <BButton v-if="missing.length > 1" variant="quiet" size="sm" @click="leaveAllOut">{{
      t('pay.leaveAllOut')
    }}</BButton>
    <p class="quiet">{{ t('pay.whatIsLeftOut') }}</p>
  </section>
</template>

<style scoped>
.missing {
  padding: 4px 16px 8px;
  border-left: 4px solid var(--attention);
}
p {
  margin: 4px 0 0;
}
</style>
