<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { shareOf } from '@wergon/core/compare';
import { callRoute, useDesk } from '../../kit/index.ts';
import type { Column } from '../../kit/index.ts';
import { DataTable, PlainButton, QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { FEW_TASKS, sayHoursMore, sayShare } from '../whyWords.ts';
import CompareFrame from './CompareFrame.vue';
import EarnedTasks from './EarnedTasks.vue';
import {
  peopleRows,
  sayEfficiency,
  sayMeasured,
  sayProductivity,
  sayTarget,
  sumOfPeople,
} from './peopleRows.ts';
import type { PeopleGroup, PeopleRow } from './peopleRows.ts';
import { usePeriod } from './usePeriod.ts';

/** What people did, and what they earned of what was estimated: the shop, then a line a person, by name. */
const desk = useDesk();
const period = usePeriod('week');
const query = useQuery({
  queryKey: ['compared-people', period.asked],
  queryFn: () => callRoute('comparedPeople', { query: period.asked.value }),
  placeholderData: keepPreviousData,
});
const search = ref('');
const group = ref<PeopleGroup | ''>('');
const opened = ref<string | null>(null);
const told = computed(() => query.data.value);
const found = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (told.value?.people ?? []).filter(({ name, department, crew }) =>
    `${name} ${department} ${crew}`.toLowerCase().includes(words),
  );
});
const rows = computed(() => peopleRows(found.value, group.value));
const total = computed(() => sumOfPeople(found.value));
const length = (seconds: number) => (seconds === 0 ? '' : desk.hours(seconds));
const figure = 'number figure';
const marginOf = ({ earnedSeconds, ownSeconds }: PeopleRow) => earnedSeconds - ownSeconds;
const columns = computed((): readonly Column<PeopleRow>[] => [
  { id: 'name', title: t('common.person'), isRowHead: true, sortBy: ({ name }) => name },
  {
    id: 'attended',
    title: t('compare.attendedHead'),
    class: figure,
    value: (row) => length(row.attendedSeconds),
    sortBy: (row) => row.attendedSeconds,
  },
  {
    id: 'jobs',
    title: t('compare.onJobsHead'),
    class: figure,
    value: (row) => length(row.jobSeconds),
    sortBy: (row) => row.jobSeconds,
  },
  {
    id: 'indirect',
    title: t('compare.indirectHead'),
    class: figure,
    value: (row) => length(row.indirectSeconds),
    sortBy: (row) => row.indirectSeconds,
  },
  {
    id: 'productivity',
    title: t('compare.productivityHead'),
    class: figure,
    value: sayProductivity,
    sortBy: (row) => shareOf(row.jobSeconds, row.attendedSeconds),
  },
  {
    id: 'expected',
    title: t('compare.expectedHead'),
    class: figure,
    value: (row) => length(row.expectedSeconds),
    sortBy: (row) => row.expectedSeconds,
  },
  {
    id: 'earned',
    title: t('compare.earnedHead'),
    class: figure,
    value: (row) => length(row.earnedSeconds),
    sortBy: (row) => row.earnedSeconds,
  },
  {
    id: 'target',
    title: t('compare.targetHead'),
    class: figure,
    value: sayTarget,
    sortBy: (row) => shareOf(row.earnedSeconds, row.expectedSeconds),
  },
  {
    id: 'own',
    title: t('compare.ownHead'),
    class: figure,
    value: (row) => length(row.ownSeconds),
    sortBy: (row) => row.ownSeconds,
  },
  {
    id: 'efficiency',
    title: t('compare.efficiencyHead'),
    class: figure,
    value: (row) => sayEfficiency(row, row.person !== undefined),
    sortBy: (row) => shareOf(row.earnedSeconds, row.ownSeconds),
  },
  {
    id: 'margin',
    title: t('compare.laborMarginHead'),
    class: figure,
    value: (row) => (row.ownSeconds === 0 ? '' : sayHoursMore(marginOf(row), desk)),
    sortBy: marginOf,
  },
  {
    id: 'measured',
    title: t('compare.measuredHead'),
    class: figure,
    value: sayMeasured,
    sortBy: (row) => shareOf(row.measuredSeconds, row.ownSeconds),
  },
]);
/** What each figure is, in the order of the columns. */
const DEFINITIONS = [
  'attended',
  'onJobs',
  'indirect',
  'productivity',
  'expected',
  'earned',
  'target',
  'own',
  'efficiency',
  'margin',
  'measured',
] as const;
const headOf = {
  attended: t('compare.attendedHead'),
  onJobs: t('compare.onJobsHead'),
  indirect: t('compare.indirectHead'),
  productivity: t('compare.productivityHead'),
  expected: t('compare.expectedHead'),
  earned: t('compare.earnedHead'),
  target: t('compare.targetHead'),
  own: t('compare.ownHead'),
  efficiency: t('compare.efficiencyHead'),
  margin: t('compare.laborMarginHead'),
  measured: t('compare.measuredHead'),
};
</script>

<template>
  <CompareFrame
    v-model:search="search"
    :period="period"
    :lead="t('compare.peopleLead')"
    :search-label="t('kit.findPersonDepartment')"
  >
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="counts">
        <span v-if="told.shop.includedSeconds > 0"
          ><b class="figure">{{ sayShare(told.shop.estimatedSeconds, told.shop.includedSeconds) }}</b>
          {{ t('compare.efficiencyOfTheShop') }}</span
        >
        <span v-if="told.shop.setupSeconds > 0"
          ><b class="figure">{{ sayShare(told.shop.setupEstimatedSeconds, told.shop.setupSeconds) }}</b>
          {{ t('compare.forSetup') }}</span
        >
        <span v-if="total.attendedSeconds > 0"
          ><b class="figure">{{ sayShare(total.jobSeconds, total.attendedSeconds) }}</b>
          {{ t('compare.productivityWord') }}</span
        >
        <span
          ><b>{{ told.shop.taskCount }}</b> {{ t('compare.tasksFinished', { n: told.shop.taskCount }) }}</span
        >
        <span v-if="told.shop.taskCount > 0 && told.shop.taskCount < FEW_TASKS">{{
          t('compare.restsOn', { n: told.shop.taskCount })
        }}</span>
        <BFormSelect v-model="group" class="end" size="sm" :aria-label="t('compare.groupedBy')">
          <option value="">{{ t('compare.notGrouped') }}</option>
          <option value="department">
            {{ t('compare.byField', { field: t('compare.departmentWord') }) }}
          </option>
          <option value="crew">{{ t('compare.byField', { field: t('compare.crewWord') }) }}</option>
        </BFormSelect>
      </div>
      <p v-if="rows.length === 0" class="none">
        {{ search ? t('common.nobodyOfThisName') : t('compare.nobodyWorked') }}
      </p>
      <DataTable
        v-else
        class="across"
        :rows="rows"
        :columns="columns"
        :row-key="({ key }) => key"
        :is-sortable="group === ''"
        :is-expanded="({ person }) => person !== undefined && person.technician === opened"
        :row-class="({ person }) => (person ? '' : 'group')"
      >
        <template #name="{ row }">
          <PlainButton
            v-if="row.person"
            class="opens"
            :aria-expanded="row.key === opened"
            @click="opened = row.key === opened ? null : row.key"
            >{{ row.name }}</PlainButton
          >
          <b v-else>{{ row.name }}</b>
        </template>
        <template #expanded="{ row }">
          <EarnedTasks
            v-if="row.person"
            :person="row.person.technician"
            :first-day="period.firstDay.value"
            :last-day="period.lastDay.value"
            :today="period.today.value"
          />
        </template>
        <template #foot>
          <tr class="total">
            <th scope="row">{{ t('compare.all2', { n: found.length }) }}</th>
            <td v-for="column in columns.slice(1)" :key="column.id" class="number figure">
              {{ column.value?.({ ...total, key: 'total', name: '', person: undefined }) }}
            </td>
          </tr>
        </template>
      </DataTable>
      <dl class="definitions">
        <template v-for="each in DEFINITIONS" :key="each">
          <dt>{{ headOf[each] }}</dt>
          <dd>{{ t(`peopleFigures.${each}`) }}</dd>
        </template>
      </dl>
    </template>
  </CompareFrame>
</template>

<style scoped>
.end {
  width: auto;
  margin-left: auto;
}
.none {
  margin: 0;
  padding: 12px 16px;
}
.opens {
  padding: 0;
  background: none;
  border: 0;
  color: inherit;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.definitions {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr) max-content minmax(0, 1fr);
  gap: 3px 14px;
  margin: 0;
  padding: 14px 16px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
@media (max-width: 900px) {
  .definitions {
    grid-template-columns: max-content minmax(0, 1fr);
  }
}
:deep(.group) {
  background: var(--band);
}
.total th,
.total td {
  font-weight: 700;
}
</style>
