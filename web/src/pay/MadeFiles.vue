<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { ref } from 'vue';
import { SEPARATORS, writeHundredths } from '@wergon/core/pay';
import type { PayFileJson } from '@wergon/contract/pay';
import { callRoute, download, sayInstant, useAct, useDesk, useWorker } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import ReasonForm from './ReasonForm.vue';
import { shortDigest } from './payFileWords.ts';
import type { PayFileFunctions } from './payFileWorker.ts';

/** The pay files that were made of a period: got again to the byte, or taken back with a reason. */
type File = PayFileJson['files'][number];
defineProps<{ files: readonly File[] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const isBroken = ref(false);
const { functions } = useWorker<PayFileFunctions>(
  () => new Worker(new URL('./payFileWorker.ts', import.meta.url), { type: 'module' }),
  () => (isBroken.value = true),
);
async function get(id: string, format: 'csv' | 'xlsx'): Promise<void> {
  const made = await act(() => callRoute('payFileText', { query: { id } }));
  if (!made) return;
  const blob =
    format === 'csv'
      ? new Blob([made.text], { type: 'text/csv;charset=utf-8' })
      : await functions().write(made.text, SEPARATORS[made.separator]);
  download(blob, `${made.name}.${format}`);
}
const taking = ref<string | null>(null);
async function takeBack(id: string, reason: string): Promise<void> {
  const done = await act(() => callRoute('withdrawPayFile', { body: { id, reason } }));
  if (done !== undefined) taking.value = null;
}
const hoursOf = ({ sums }: File) =>
  writeHundredths(
    sums.reduce((sum, { hundredths }) => sum + hundredths, 0),
    '.',
  );
const columns: readonly Column<File>[] = [
  {
    id: 'at',
    title: t('pay.made'),
    isRowHead: true,
    value: ({ at, by }) => t('pay.madeBy', { name: by, time: desk.zone ? sayInstant(desk.zone, at) : '' }),
  },
  {
    id: 'form',
    title: t('pay.form'),
    value: ({ layout, group }) => (group === '' ? layout : `${layout} · ${group}`),
  },
  { id: 'rows', title: t('pay.rows'), class: 'number figure', value: ({ rows }) => rows },
  { id: 'hours', title: t('payFields.hours'), class: 'number figure', value: hoursOf },
  { id: 'digest', title: t('pay.digest'), class: 'mono', value: ({ digest }) => shortDigest(digest) },
  { id: 'acts', class: 'acts-cell' },
];
</script>

<template>
  <section class="desk-part">
    <h2>{{ t('pay.filesMade') }}</h2>
    <p v-if="files.length === 0" class="quiet">{{ t('pay.noFileYet') }}</p>
    <DataTable
      v-else
      class="across files"
      :rows="files"
      :columns="columns"
      :row-key="({ id }) => id"
      :row-class="(each) => ({ withdrawn: each.withdrawnBy !== null })"
      :is-expanded="(each) => each.id === taking"
    >
      <template #acts="{ row }">
        <span v-if="row.withdrawnBy !== null" class="quiet">{{
          t('pay.takenBackBy', { name: row.withdrawnBy, reason: row.reason ?? '' })
        }}</span>
        <template v-else>
          <BButton variant="quiet" size="sm" :disabled="isBusy" @click="get(row.id, 'csv')">{{
            t('pay.csv')
          }}</BButton>
          <BButton variant="quiet" size="sm" :disabled="isBusy" @click="get(row.id, 'xlsx')">{{
            t('pay.xlsx')
          }}</BButton>
          <BButton
            v-if="desk.may('pay.close')"
            variant="quiet"
            size="sm"
            @click="taking = taking === row.id ? null : row.id"
            >{{ t('pay.takeBack') }}</BButton
          >
        </template>
      </template>
      <template #expanded="{ row }">
        <ReasonForm
          :label="t('pay.whyTakenBack')"
          :placeholder="t('pay.takeBackBecause')"
          :press="t('pay.takeBack')"
          :is-busy="isBusy"
          @say="takeBack(row.id, $event)"
        />
      </template>
    </DataTable>
    <p v-if="problem || isBroken" class="attention" role="alert">
      {{ problem || t('pay.fileNotWritten') }}
    </p>
  </section>
</template>

<style scoped>
.files {
  max-width: none;
}
:deep(.withdrawn td),
:deep(.withdrawn th) {
  color: var(--ink-2);
}
</style>
