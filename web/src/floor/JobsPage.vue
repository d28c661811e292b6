<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import { isPastEstimate } from '@wergon/core/compare';
import { jobsOnBoard } from '@wergon/core/floor';
import type { Job } from '@wergon/core/floor';
import { useDesk } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import { floorMore } from './floorMore.ts';
import JobTasks from './JobTasks.vue';
import { useFloor } from './useFloor.ts';
import { t } from '../words/index.ts';

/** All jobs with all their tasks on one board: estimated, used, left. */
const desk = useDesk();
const { query, board, now } = useFloor();
const search = ref('');
const narrow = reactive({ division: '', jobType: '', customer: '' });
/** Jobs that are drawn before somebody asks for more. */
const FIRST = 30;
const most = ref(FIRST);

const details = computed(
  () => new Map((query.data.value?.orderDetails ?? []).map((each) => [each.order, each])),
);
/** What stands on no board. */
const told = computed(() => floorMore(query.data.value));
const all = computed(() => (board.value ? jobsOnBoard(board.value, now.value) : []));
const partOf = ({ order }: Job, field: keyof typeof narrow): string =>
  field === 'customer' ? order.customer : (details.value.get(order.id)?.[field] ?? '');
const NARROW = [
  { field: 'customer', all: t('floor.allCustomers'), label: t('common.customer') },
  { field: 'division', all: t('common.allDivisions'), label: t('common.division') },
  { field: 'jobType', all: t('floor.allJobTypes'), label: t('common.jobType') },
] as const;
const valuesOf = (field: keyof typeof narrow) =>
  [...new Set(all.value.map((job) => partOf(job, field)))].filter((value) => value !== '').sort();
const found = computed(() => {
  const words = search.value.trim().toLowerCase();
  return all.value.filter(
    (job) =>
      NARROW.every(({ field }) => narrow[field] === '' || partOf(job, field) === narrow[field]) &&
      `${job.order.number} ${job.order.title} ${job.order.customer} ${job.tasks.map(({ task }) => task.title).join(' ')}`
        .toLowerCase()
        .includes(words),
  );
});
const drawn = computed(() => found.value.slice(0, most.value));
const over = computed(() => found.value.filter(({ overSeconds }) => isPastEstimate(overSeconds)).length);
const left = computed(() => found.value.reduce((sum, { leftSeconds }) => sum + leftSeconds, 0));
function showAll(): void {
  search.value = '';
  Object.assign(narrow, { division: '', jobType: '', customer: '' });
}
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('floor.jobsAndTasksLead')"
    :title="t('floor.jobsAndTasks')"
    :search-label="t('kit.findOrderCustomerPerson')"
  >
    <QueryState
      v-if="!board"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="counts">
        <span
          ><b>{{ found.length }}</b> {{ t('floor.jobsWord', { n: found.length }) }}</span
        >
        <span :class="{ attention: over > 0 }"
          ><b>{{ over }}</b> {{ t('floor.jobsWithATaskOver', { n: over }) }}</span
        >
        <span
          ><b class="figure">{{ desk.left(left) }}</b> {{ t('floor.leftWord') }}</span
        >
        <span class="ways">
          <template v-for="{ field, all: word, label } in NARROW" :key="field">
            <BFormSelect
              v-if="valuesOf(field).length > 1"
              v-model="narrow[field]"
              size="sm"
              :aria-label="label"
            >
              <option value="">{{ word }}</option>
              <option v-for="value in valuesOf(field)" :key="value" :value="value">{{ value }}</option>
            </BFormSelect>
          </template>
        </span>
      </div>
      <p v-if="all.length === 0" class="none">{{ t('noOrders.floor') }}</p>
      <p v-else-if="found.length < all.length" class="none" role="status">
        {{ t('floor.ofJobs', { n: found.length, n2: all.length }) }}
        <BButton variant="quiet" size="sm" @click="showAll">{{ t('common.showAll') }}</BButton>
      </p>
      <ul :aria-label="t('floor.jobsAndTasks')">
        <li v-for="job in drawn" :key="job.order.id">
          <JobTasks :job="job" :more="told" />
        </li>
      </ul>
      <p v-if="drawn.length < found.length" class="none">
        <BButton variant="quiet" @click="most += FIRST">{{ t('compare.showMore') }}</BButton>
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 12px 16px;
}
.ways {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
