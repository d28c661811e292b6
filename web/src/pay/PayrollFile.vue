<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref, shallowRef } from 'vue';
import { formatCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import type { TriedPayroll } from '@wergon/contract/pay';
import { callRoute, sayMonthDay, useAct, useDesk, useWorker } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import type { Table } from '../kit/files/index.ts';
import { DataTable, FileField, FormField } from '../kit/parts/index.ts';
import { sayFieldProblem, t } from '../words/index.ts';
import { payrollColumns } from './payrollColumns.ts';
import { PAYROLL_FIELDS, guessPayroll, rowsOf, sayPayrollField } from './payrollRows.ts';
import type { PayrollField } from './payrollRows.ts';
import type { PayFileFunctions } from './payFileWorker.ts';

/** A file of what payroll paid: read, looked at row by row, then taken or left. */
const emit = defineEmits<{ done: [] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const unreadable = ref('');
const { functions } = useWorker<PayFileFunctions>(
  () => new Worker(new URL('./payFileWorker.ts', import.meta.url), { type: 'module' }),
  () => (unreadable.value = t('fileProblems.broken')),
);
const name = ref('');
const table = shallowRef<Table | null>(null);
const match = ref<Record<PayrollField, number | null>>({ payrollNumber: null, period: null, amount: null });
const tried = shallowRef<TriedPayroll | null>(null);
const rows = computed(() => (table.value ? rowsOf(table.value.rows, match.value) : []));
const unmatched = computed(() => PAYROLL_FIELDS.filter((field) => match.value[field] === null));

function leave(): void {
  table.value = null;
  tried.value = null;
  unreadable.value = '';
}
async function choose(file: File): Promise<void> {
  leave();
  name.value = file.name;
  const read = await functions().read(file);
  if (typeof read === 'string') {
    unreadable.value = t(`fileProblems.${read}`);
    return;
  }
  table.value = read;
  match.value = { ...match.value, ...guessPayroll(read.headings) };
  if (unmatched.value.length === 0) await look();
}
async function look(): Promise<void> {
  tried.value = (await act(() => callRoute('tryPayroll', { body: { rows: rows.value } }))) ?? null;
}
function setColumn(field: PayrollField, place: unknown): void {
  match.value = { ...match.value, [field]: typeof place === 'number' ? place : null };
  tried.value = null;
}
async function take(): Promise<void> {
  const { stamp } = tried.value ?? { stamp: '' };
  const done = await act(() =>
    callRoute('takePayroll', { body: { rows: rows.value, name: name.value, stamp } }),
  );
  if (done === undefined) return;
  leave();
  emit('done');
}

const money = (amount: Cents) => desk.money(formatCents(amount));
const sum = (of: (person: TriedPayroll['people'][number]) => number) =>
  money((tried.value?.people ?? []).reduce((total, person) => total + of(person), 0) as Cents);
const said = computed(() =>
  tried.value
    ? t('pay.payrollWouldAdd', {
        n: tried.value.people.length,
        amount: sum(({ amount }) => amount),
        costed: sum(({ costed, notJobs }) => costed + notJobs),
        beyond: sum(({ trueUp, overhead }) => trueUp + overhead),
      })
    : '',
);
const problemColumns: readonly Column<TriedPayroll['problems'][number]>[] = [
  { id: 'row', title: t('exchange.row'), class: 'number figure', value: ({ row }) => row + 2 },
  { id: 'field', title: t('exchange.where'), value: ({ field }) => sayPayrollField(field) },
  {
    id: 'message',
    title: t('exchange.whatIsWrong'),
    class: 'attention',
    value: ({ message }) => sayFieldProblem(message),
  },
  {
    id: 'cells',
    title: t('exchange.theRow'),
    class: 'quiet',
    value: ({ row }) => (table.value?.rows[row] ?? []).filter(Boolean).join(' · '),
  },
];
type Person = TriedPayroll['people'][number];
const peopleColumns: readonly Column<Person>[] = [
  { id: 'name', title: t('common.name'), isRowHead: true, value: ({ name: own }) => own },
  {
    id: 'period',
    title: t('payrollFields.period'),
    value: ({ firstDay, lastDay }) =>
      t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) }),
  },
  ...payrollColumns<Person>(desk),
  {
    id: 'note',
    title: '',
    class: 'quiet',
    value: ({ isReplaced, overhead }) =>
      [...(isReplaced ? [t('pay.replacesBefore')] : []), ...(overhead === 0 ? [] : [t('pay.onNoJob')])].join(
        ', ',
      ),
  },
];
type Job = TriedPayroll['orders'][number];
const jobColumns: readonly Column<Job>[] = [
  {
    id: 'job',
    title: t('pay.jobsThatMove'),
    isRowHead: true,
    value: ({ number, title }) => (number === '' ? t('pay.indirect') : `${number} ${title}`),
  },
  {
    id: 'beyond',
    title: t('pay.beyondTheRates'),
    class: 'number figure',
    value: ({ trueUp }) => money(trueUp),
  },
];
</script>

<template>
  <section class="desk-part">
    <p>{{ t('pay.payrollFileLead') }}</p>
    <FileField class="btn btn-primary" accept=".csv,.txt,.tsv,.xlsx" @choose="choose">{{
      t('exchange.chooseAFile')
    }}</FileField>
    <p v-if="unreadable || problem" class="attention" role="alert">{{ unreadable || problem }}</p>
    <template v-if="table">
      <h2>{{ `${name}: ${t('exchange.rowsRead', { n: table.rows.length })}` }}</h2>
      <div class="match">
        <FormField
          v-for="field in PAYROLL_FIELDS"
          :key="field"
          v-slot="{ id }"
          :label="sayPayrollField(field)"
        >
          <BFormSelect
            :id="id"
            size="sm"
            :model-value="match[field]"
            @update:model-value="setColumn(field, $event)"
          >
            <option :value="null">{{ t('exchange.notInTheFile') }}</option>
            <option v-for="(heading, i) in table.headings" :key="i" :value="i">
              {{ heading || t('exchange.columnNumber', { number: i + 1 }) }}
            </option>
          </BFormSelect>
        </FormField>
        <BButton
          v-if="!tried"
          variant="primary"
          size="sm"
          :disabled="isBusy || unmatched.length > 0"
          @click="look"
          >{{ t('exchange.checkEveryRow') }}</BButton
        >
      </div>
    </template>
    <template v-if="tried">
      <template v-if="tried.problems.length > 0">
        <p class="attention" role="alert">{{ t('pay.payrollRowsWrong', { n: tried.problems.length }) }}</p>
        <DataTable
          class="across"
          :rows="tried.problems"
          :columns="problemColumns"
          :row-key="({ row, field }) => `${row} ${field}`"
        />
      </template>
      <template v-else>
        <p role="status">{{ said }}</p>
        <div class="acts">
          <BButton variant="primary" :disabled="isBusy" @click="take">{{ t('pay.takeItOver') }}</BButton>
          <BButton variant="quiet" @click="leave">{{ t('common.leaveItAsItIs') }}</BButton>
        </div>
        <div class="sides">
          <DataTable
            class="across"
            is-sortable
            :rows="tried.people"
            :columns="peopleColumns"
            :row-key="({ technician, firstDay }) => `${technician} ${firstDay}`"
          />
          <DataTable
            class="across jobs"
            :rows="tried.orders"
            :columns="jobColumns"
            :row-key="({ order }) => order ?? ''"
          />
        </div>
      </template>
    </template>
  </section>
</template>

<style scoped>
section > p:first-child {
  margin: 8px 0;
}
.match {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: end;
  margin-bottom: 8px;
}
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 16px 32px;
  align-items: start;
}
.sides table {
  width: auto;
}
</style>
