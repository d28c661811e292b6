<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { NearTask } from '@wergon/contract/compare';
import type { Instant } from '@wergon/core/time';
import { callRoute, sayInstant, useDesk } from '../../kit/index.ts';
import type { Column } from '../../kit/index.ts';
import { DataTable, QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { sayShare } from '../whyWords.ts';
import Yardstick from '../Yardstick.vue';
import CompareFrame from './CompareFrame.vue';

/** Tasks that go on and have used most of their estimate, or more: while there is time to act. */
const REFRESH_MS = 60_000;
const desk = useDesk();
const query = useQuery({ queryKey: ['near'], queryFn: () => callRoute('near'), refetchInterval: REFRESH_MS });
const search = ref('');
const told = computed(() => query.data.value);
const found = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (told.value?.tasks ?? []).filter(({ orderNumber, orderTitle, title, customer, peopleOn }) =>
    `${orderNumber} ${orderTitle} ${title} ${customer} ${peopleOn.join(' ')}`.toLowerCase().includes(words),
  );
});
const past = computed(() => found.value.filter(({ isPast }) => isPast).length);
const say = (at: Instant | null) => (at === null || !desk.zone ? '' : sayInstant(desk.zone, at));
const over = ({ usedSeconds, estimatedSeconds }: NearTask) => usedSeconds - estimatedSeconds;
const figure = 'number figure';
const columns = computed((): readonly Column<NearTask>[] => [
  { id: 'task', title: t('common.task'), isRowHead: true },
  { id: 'used', title: t('compare.usedHead') },
  {
    id: 'left',
    title: t('compare.overOrLeft'),
    class: figure,
    value: (row) =>
      row.isPast
        ? t('compare.overBy', { hours: desk.hours(over(row)) })
        : t('compare.left', { hours: desk.left(-over(row)) }),
    cellClass: ({ isPast }) => (isPast ? 'attention' : ''),
    sortBy: over,
  },
  {
    id: 'share',
    title: t('compare.ofEstimate'),
    class: figure,
    value: (row) => sayShare(row.usedSeconds, row.estimatedSeconds),
  },
  {
    id: 'since',
    title: t('compare.sinceHead'),
    value: ({ since }) => say(since),
    sortBy: ({ since }) => since,
  },
  {
    id: 'people',
    title: t('compare.onItHead'),
    value: ({ peopleOn }) => peopleOn.join(', ') || t('compare.nobodyOnIt'),
  },
  {
    id: 'order',
    title: t('compare.orderLeft'),
    class: figure,
    value: ({ orderLeftSeconds }) => desk.left(orderLeftSeconds),
    sortBy: ({ orderLeftSeconds }) => orderLeftSeconds,
  },
]);
</script>

<template>
  <CompareFrame
    v-model:search="search"
    :title="t('compare.nearWay')"
    :lead="told ? t('compare.nearLead', { percent: told.warnAt }) : ''"
    :search-label="t('kit.findOrderCustomerPerson')"
  >
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span :class="{ attention: past > 0 }"
          ><b>{{ past }}</b> {{ t('compare.tasksPast', { n: past }) }}</span
        >
        <span
          ><b>{{ found.length - past }}</b> {{ t('compare.tasksNear', { n: found.length - past }) }}</span
        >
      </p>
      <p v-if="found.length === 0" class="none">
        {{ search ? t('compare.nothingOfThat') : t('compare.nothingNear') }}
      </p>
      <DataTable
        v-else
        class="across"
        is-sortable
        :rows="found"
        :columns="columns"
        :row-key="({ task }) => task"
      >
        <template #task="{ row }">
          <RouterLink :to="{ name: 'order', params: { order: row.order } }"
            ><b class="figure">{{ row.orderNumber }}</b> {{ row.title }}</RouterLink
          >
          <small>{{ row.orderTitle }}, {{ row.customer }}</small>
        </template>
        <template #used="{ row }">
          <div class="stick">
            <Yardstick
              :estimated-seconds="row.estimatedSeconds"
              :used="{ run: row.usedSeconds }"
              size="row"
              :label="
                t('compare.usedOfEstimated', {
                  hours: desk.hours(row.usedSeconds),
                  hours2: desk.hours(row.estimatedSeconds),
                })
              "
            />
          </div>
        </template>
      </DataTable>
    </template>
  </CompareFrame>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 12px 16px;
}
.stick {
  width: 240px;
}
</style>
