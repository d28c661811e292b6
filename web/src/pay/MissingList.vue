<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { groupBy } from '@wergon/core/result';
import type { PayFileJson } from '@wergon/contract/pay';
import { sayDate, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { CheckField, DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import { sayKind } from './payFileWords.ts';

/** What is missing before a pay file can be made: each thing is put right where it belongs, or left out by name. */
type Missing = PayFileJson['missing'][number];
const props = defineProps<{
  missing: readonly Missing[];
  /** Of an open period it is only said what is missing. */
  isClosed: boolean;
}>();
const putOff = defineModel<readonly string[]>({ required: true });
const desk = useDesk();
/** One line of the list: days of one person that nobody has approved stand together. */
type Line = Pick<Missing, 'of' | 'technician' | 'seconds'> & {
  readonly words: string;
  readonly keys: readonly string[];
};
const wordsOf = (own: readonly Missing[]): string => {
  const [first] = own;
  if (first?.of === 'code') return t('pay.noCode', { kind: sayKind(first.kind ?? '') });
  const name = first?.name ?? '';
  if (first?.of === 'number') return t('pay.noPayrollNumber', { name });
  return t('pay.daysNotApproved', {
    n: own.length,
    name,
    days: own.map(({ day }) => (day === null ? '' : sayDate(day))).join(', '),
  });
};
const lines = computed((): readonly Line[] =>
  [...groupBy(props.missing, (each) => (each.of === 'day' ? `day ${each.technician ?? ''}` : each.key))].map(
    ([, own]): Line => ({
      ...{ of: own[0]?.of ?? 'day', technician: own[0]?.technician ?? null, words: wordsOf(own) },
      keys: own.map(({ key }) => key),
      seconds: own.reduce((sum, { seconds }) => sum + seconds, 0),
    }),
  ),
);
const isPutOff = ({ keys }: Line) => keys.every((key) => putOff.value.includes(key));
function put({ keys }: Line, isOff: boolean): void {
  const others = putOff.value.filter((key) => !keys.includes(key));
  putOff.value = isOff ? [...others, ...keys] : others;
}
const columns = computed((): readonly Column<Line>[] => [
  { id: 'what', title: t('pay.beforeThePayFile'), isRowHead: true, value: ({ words }) => words },
  {
    id: 'hours',
    title: t('payFields.hours'),
    class: 'number figure',
    value: ({ seconds }) => desk.hours(seconds),
  },
  { id: 'putRight', title: '' },
  ...(props.isClosed ? [{ id: 'putOff', title: t('pay.leaveItOutThisTime') }] : []),
]);
const leaveAllOut = () => (putOff.value = props.missing.map(({ key }) => key));
</script>

<template>
  <section class="desk-part missing">
    <DataTable class="across" :rows="lines" :columns="columns" :row-key="({ keys }) => keys.join()">
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
        <CheckField :model-value="isPutOff(row)" @update:model-value="put(row, $event === true)"
          ><span class="visually-hidden">{{ row.words }}</span></CheckField
        >
      </template>
    </DataTable>
    <BButton v-if="isClosed && lines.length > 1" variant="quiet" size="sm" @click="leaveAllOut">{{
      t('pay.leaveAllOut')
    }}</BButton>
    <p v-if="isClosed" class="quiet">{{ t('pay.whatIsLeftOut') }}</p>
  </section>
</template>

<style scoped>
.missing {
  border-left: 4px solid var(--attention);
}
p {
  margin: 4px 0 0;
}
</style>
