<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import type { OrderRow, UnitHistoryJson } from '@wergon/contract/compare';
import { callRoute, sayLongDay, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, DeskFrame, QueryState } from '../kit/parts/index.ts';
import { RecurrenceForm, RecurringTable, UnitReadings, sayState } from '../work/index.ts';
import { t } from '../words/index.ts';

/** A customer's unit over the years: what was done to it, what that took, and what comes back. */
const desk = useDesk();
const route = useRoute();
const unit = computed(() => String(route.params['unit'] ?? ''));
const query = useQuery({
  queryKey: computed(() => ['unit', unit.value]),
  queryFn: () => callRoute('unitHistory', { params: { unit: unit.value } }),
});
const recurring = useQuery({
  queryKey: computed(() => ['recurring', 'unit', unit.value]),
  queryFn: () => callRoute('recurring', { query: { unit: unit.value } }),
});
/** What is being written: one by its id, `''` for a new one. */
const edited = ref<string | null>(null);
const rows = computed(() => recurring.data.value?.recurring ?? []);
const told = computed(() => query.data.value);
const title = computed(() => [told.value?.unit.type, told.value?.unit.maker].filter(Boolean).join(', '));
const facts = computed(() =>
  [told.value?.unit.serialNumber, told.value?.unit.owner, told.value?.unit.nameplate]
    .filter(Boolean)
    .join(' · '),
);

type Year = UnitHistoryJson['years'][number];
const yearColumns = computed((): readonly Column<Year>[] => [
  { id: 'year', title: t('compare.yearHead'), class: 'figure', isRowHead: true, value: ({ year }) => year },
  { id: 'orders', title: t('common.orders'), class: 'figure number', value: ({ orders }) => orders },
  {
    id: 'hours',
    title: t('common.hours'),
    class: 'figure number',
    value: ({ usedSeconds }) => desk.hours(usedSeconds),
  },
  { id: 'cost', title: t('kit.laborCost'), class: 'figure number', value: ({ cost }) => desk.money(cost) },
]);
const orderColumns = computed((): readonly Column<OrderRow>[] => [
  { id: 'number', title: t('common.order'), class: 'figure' },
  { id: 'title', title: t('work.whatIsDone'), value: ({ title: what }) => what },
  { id: 'state', title: t('work.whereItStands'), value: ({ state }) => sayState(state) },
  {
    id: 'due',
    title: t('work.dueHead'),
    class: 'figure',
    value: ({ due }) => (due === null ? '' : sayLongDay(due)),
  },
  {
    id: 'used',
    title: t('common.hours'),
    class: 'figure number',
    value: ({ comparison }) => desk.hours(comparison.actualSeconds + comparison.outsideSeconds),
  },
]);
</script>

<template>
  <DeskFrame :lead="facts" :title="title || t('work.unitHead')">
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="ways">
        <RouterLink to="/shop/units">{{ t('common.customersAndUnits') }}</RouterLink>
        <RouterLink :to="{ name: 'recurring' }">{{ t('work.comesDue') }}</RouterLink>
      </p>
      <section :aria-label="t('work.comesBack')">
        <h2 class="list-head">{{ t('work.comesBack') }}</h2>
        <RecurringTable v-if="rows.length > 0" :rows="rows" is-of-one-unit @change="edited = $event.id" />
        <RecurrenceForm
          v-if="edited !== null"
          :key="edited"
          :unit="unit"
          :recurrence="rows.find(({ id }) => id === edited)"
          @done="edited = null"
        />
        <p v-else-if="desk.may('work.change')" class="ways">
          <BButton variant="quiet" @click="edited = ''">{{ t('work.letComeBack') }}</BButton>
        </p>
      </section>
      <UnitReadings :key="unit" :unit="unit" :readings="told.readings" />
      <section :aria-label="t('compare.unitYears')">
        <h2 class="list-head">{{ t('compare.unitYears') }}</h2>
        <DataTable
          v-if="told.years.length > 0"
          class="across years"
          :rows="told.years"
          :columns="yearColumns"
          :row-key="({ year }) => year"
        />
        <p v-else class="quiet ways">{{ t('compare.noWorkYet') }}</p>
      </section>
      <section v-if="told.orders.length > 0" :aria-label="t('compare.unitOrders')">
        <h2 class="list-head">
          {{ t('compare.unitOrders') }} <span>{{ told.orderCount }}</span>
        </h2>
        <DataTable class="across" :rows="told.orders" :columns="orderColumns" :row-key="({ id }) => id">
          <template #number="{ row }">
            <RouterLink :to="{ name: 'order', params: { order: row.id } }">{{ row.number }}</RouterLink>
          </template>
        </DataTable>
        <p v-if="told.orders.length < told.orderCount" class="quiet ways">
          {{ t('compare.theLastOrders', { n: told.orders.length }) }}
        </p>
      </section>
    </template>
  </DeskFrame>
</template>

<style scoped>
.ways {
  margin: 8px 16px;
}
.ways a + a {
  margin-left: 16px;
}
.years {
  max-width: 640px;
}
</style>
