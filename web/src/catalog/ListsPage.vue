<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { callRoute } from '../kit/index.ts';
import { QueryState, ShopLayout } from '../kit/parts/index.ts';
import { GradeSection } from '../people/index.ts';
import ActivitySection from './ActivitySection.vue';
import ResourceSection from './ResourceSection.vue';
import WordList from './WordList.vue';
import { t } from '../words/index.ts';

const query = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
const LISTS = [
  { list: 'department', title: t('catalog.departments') },
  { list: 'crew', title: t('common.crews') },
  { list: 'division', title: t('catalog.divisions') },
  { list: 'job-type', title: t('catalog.jobTypes') },
  { list: 'cost-code', title: t('catalog.costCodes') },
  { list: 'down-reason', title: t('catalog.reasonsForDownTime') },
  { list: 'rework-reason', title: t('catalog.reasonsForRework') },
  { list: 'scrap-reason', title: t('catalog.reasonsForScrap') },
  { list: 'pay-group', title: t('catalog.payGroups') },
] as const;
</script>

<template>
  <ShopLayout :title="t('common.lists')" :lead="t('catalog.theShopsOwnWordsANewNameGoes')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <GradeSection />
      <ResourceSection :resources="query.data.value.resources" />
      <ActivitySection
        :activities="query.data.value.activities"
        :divisions="query.data.value.lists.division"
      />
      <h2>{{ t('catalog.words') }}</h2>
      <div class="lists">
        <WordList
          v-for="{ list, title } in LISTS"
          :key="list"
          :list="list"
          :title="title"
          :items="query.data.value.lists[list]"
        />
      </div>
    </template>
  </ShopLayout>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 8px 32px;
}
</style>
