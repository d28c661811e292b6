<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { callRoute } from '../kit/index.ts';
import { DeskFrame, MatchNote, QueryState } from '../kit/parts/index.ts';
import RecurringTable from './RecurringTable.vue';
import { t } from '../words/index.ts';

/** So long after the last key it is looked for. */
const SEARCH_MS = 250;

/** All work that comes back, the soonest due first. */
const search = ref('');
const asked = refDebounced(search, SEARCH_MS);
const query = useInfiniteQuery({
  queryKey: computed(() => ['recurring', 'all', asked.value]),
  queryFn: ({ pageParam }) =>
    callRoute('recurring', { query: { search: asked.value, skip: String(pageParam) } }),
  initialPageParam: 0,
  getNextPageParam: ({ found }, pages) => {
    const shown = pages.reduce((sum, page) => sum + page.recurring.length, 0);
    return shown < found ? shown : undefined;
  },
});
const rows = computed(() => query.data.value?.pages.flatMap(({ recurring }) => recurring) ?? []);
const first = computed(() => query.data.value?.pages[0]);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('work.comesDueLead')"
    :title="t('work.comesDue')"
    :search-label="t('kit.findOrderCustomerPerson')"
  >
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="ways acts">
        <RouterLink :to="{ name: 'work' }">{{ t('work.toOrders') }}</RouterLink>
        <RouterLink to="/shop/units">{{ t('common.customersAndUnits') }}</RouterLink>
      </p>
      <MatchNote v-model:search="search" :shown="first?.found ?? 0" :of="first?.total ?? 0" />
      <p v-if="first?.total === 0" class="none">{{ t('work.nothingComesDue') }}</p>
      <RecurringTable v-if="rows.length > 0" :rows="rows" />
      <p v-if="query.hasNextPage.value" class="more">
        <BButton
          variant="outline-secondary"
          :disabled="query.isFetchingNextPage.value"
          @click="query.fetchNextPage()"
          >{{ t('compare.showMore') }}</BButton
        >
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.ways,
.none,
.more {
  margin: 8px 16px;
}
.ways a + a {
  margin-left: 16px;
}
</style>
