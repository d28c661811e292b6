<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { ComparedPerson } from '@wergon/contract/compare';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, linkToDay, useDesk } from '../../kit/index.ts';
import { QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';

/** What somebody earned in a period, task by task. */
const props = defineProps<{
  person: ComparedPerson['technician'];
  firstDay: LocalDay;
  lastDay: LocalDay;
  today: LocalDay;
}>();
const desk = useDesk();
const asked = computed(() => ({
  from: formatDay(props.firstDay),
  to: formatDay(props.lastDay),
  technician: props.person,
}));
const query = useQuery({
  queryKey: ['compared-people', asked],
  queryFn: () => callRoute('comparedPeople', { query: asked.value }),
});
const tasks = computed(() => query.data.value?.tasks);
</script>

<template>
  <QueryState
    v-if="!tasks"
    :is-pending="query.isPending.value"
    :error="query.error.value"
    @retry="query.refetch()"
  />
  <p v-else-if="tasks.length === 0" class="none">{{ t('compare.noTaskOfTheirs') }}</p>
  <ul v-else>
    <li v-for="task in tasks" :key="task.target">
      <RouterLink :to="{ name: 'order', params: { order: task.order } }"
        ><span class="figure">{{ task.orderNumber }}</span> {{ task.title }}</RouterLink
      >
      {{
        t('compare.earnedWith', {
          earned: desk.hours(task.earnedSeconds),
          own: desk.hours(task.ownSeconds),
          estimate: desk.hours(task.estimatedSeconds),
        })
      }}
    </li>
    <li>
      <RouterLink :to="linkToDay(person, lastDay < today ? lastDay : today)">{{
        t('compare.toTheirDay')
      }}</RouterLink>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 4px 10px 8px;
  list-style: none;
}
.none {
  margin: 0;
  padding: 12px 16px;
}
</style>
