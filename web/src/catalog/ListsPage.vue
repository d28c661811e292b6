<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { callRoute } from '../kit/index.ts';
import { QueryState, ShopLayout } from '../kit/parts/index.ts';
import { GradeSection } from '../people/index.ts';
import ActivitySection from './ActivitySection.vue';
import ResourceSection from './ResourceSection.vue';
import WordList from './WordList.vue';

const query = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
const LISTS = [
  { list: 'department', title: 'Departments' },
  { list: 'crew', title: 'Crews' },
  { list: 'division', title: 'Divisions' },
  { list: 'job-type', title: 'Job types' },
  { list: 'cost-code', title: 'Cost codes' },
  { list: 'down-reason', title: 'Reasons for down time' },
  { list: 'rework-reason', title: 'Reasons for rework' },
  { list: 'scrap-reason', title: 'Reasons for scrap' },
] as const;
</script>

<template>
  <ShopLayout
    title="Lists"
    lead="The shop’s own words. A new name goes everywhere the old one stood; what is switched off is offered no more and stays where it was used."
  >
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
      <h2>Words</h2>
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
