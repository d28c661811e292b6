<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { RecurrenceJson } from '@wergon/contract/work';
import { callRoute, sayLongDay, useAct, useDesk, useToday } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import { isOverdue, sayCadence, sayDue } from './sayRecurring.ts';
import { sayState } from './stateWords.ts';
import { t } from '../words/index.ts';

/** Work that comes back, with when it comes due; its order is made in one press. */
const props = defineProps<{ rows: readonly RecurrenceJson[]; isOfOneUnit?: boolean }>();
const emit = defineEmits<{ change: [row: RecurrenceJson] }>();
const desk = useDesk();
const router = useRouter();
const today = useToday();
const { act, problem, isBusy } = useAct();
const mayChange = computed(() => desk.may('work.change'));

async function make({ id }: RecurrenceJson): Promise<void> {
  const made = await act((once) => callRoute('makeDueOrder', { params: { recurrence: id }, body: { once } }));
  if (made) await router.push({ name: 'order', params: { order: made.id } });
}
const columns = computed((): readonly Column<RecurrenceJson>[] => [
  {
    id: 'due',
    title: t('work.dueHead'),
    class: 'figure whole',
    value: (row) => (row.isOff ? t('common.switchedOff') : sayDue(row)),
    cellClass: (row) => ({ attention: isOverdue(row, today.value) }),
  },
  { id: 'job', title: t('work.jobHead'), value: ({ title }) => title },
  ...(props.isOfOneUnit
    ? []
    : [
        { id: 'unit', title: t('work.unitHead') },
        { id: 'owner', title: t('common.customer'), value: ({ owner }: RecurrenceJson) => owner },
      ]),
  { id: 'often', title: t('work.howOften'), value: sayCadence },
  {
    id: 'last',
    title: t('work.lastDone'),
    class: 'figure whole',
    value: ({ lastDay }) => sayLongDay(lastDay),
  },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <DataTable
    class="across"
    :rows="rows"
    :columns="columns"
    :row-key="({ id }) => id"
    :row-class="({ isOff }) => ({ off: isOff })"
  >
    <template #unit="{ row }">
      <RouterLink :to="{ name: 'unit', params: { unit: row.unit } }">{{ row.unitWords }}</RouterLink>
    </template>
    <template #acts="{ row }">
      <RouterLink v-if="row.order" :to="{ name: 'order', params: { order: row.order.id } }">{{
        t('work.orderIs', { number: row.order.number, state: sayState(row.order.state) })
      }}</RouterLink>
      <BButton
        v-else-if="mayChange && !row.isOff"
        variant="quiet"
        size="sm"
        :disabled="isBusy"
        :aria-label="`${t('work.makeTheOrder')}: ${row.title}, ${row.unitWords}`"
        @click="make(row)"
        >{{ t('work.makeTheOrder') }}</BButton
      >
      <BButton v-if="mayChange && isOfOneUnit" variant="quiet" size="sm" @click="emit('change', row)">{{
        t('common.change')
      }}</BButton>
    </template>
  </DataTable>
  <p v-if="problem" class="attention problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
:deep(.whole),
:deep(.acts-cell) {
  white-space: nowrap;
}
.btn + .btn {
  margin-left: 8px;
}
.problem {
  margin: 8px 16px;
}
</style>
