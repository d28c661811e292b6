<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { callRoute, useDesk } from '../kit/index.ts';
import { QueryState, ShopLayout } from '../kit/parts/index.ts';
import BadgeSection from './BadgeSection.vue';
import PersonFields from './PersonFields.vue';
import PlanSection from './PlanSection.vue';

const desk = useDesk();
const route = useRoute();
const id = computed(() => String(route.params['technician']));
const query = useQuery({ queryKey: ['people'], queryFn: () => callRoute('people') });
const person = computed(() => query.data.value?.technicians.find((each) => each.id === id.value));
const plan = useQuery({
  queryKey: ['plan', id],
  queryFn: () => callRoute('plan', { params: { technician: id.value } }),
});
/** What a person cannot be costed, recognized or expected without. */
const missing = computed(() => {
  const known = person.value;
  if (!known) return [];
  return [
    ...(desk.may('rates.see') && !known.hasRate ? ['a cost rate for today'] : []),
    ...(known.badges.every(({ revokedAt }) => revokedAt !== null) ? ['a badge'] : []),
    ...(plan.data.value?.patterns.length === 0 ? ['a work plan'] : []),
  ];
});
</script>

<template>
  <ShopLayout :title="person?.name ?? 'Person'">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <p v-else-if="!person">
      Nobody of this name works here. <RouterLink to="/shop/people">All people</RouterLink>
    </p>
    <template v-else>
      <p class="lead-words">
        Number <span class="mono">{{ person.number }}</span> ·
        <RouterLink to="/shop/people">all people</RouterLink>
        <template v-if="desk.may('rates.see')">
          · <RouterLink :to="{ name: 'rates', params: { technician: id } }">cost rates</RouterLink>
          <span v-if="!person.hasRate" class="attention"> (none today)</span></template
        >
      </p>
      <p v-if="missing.length > 0" class="attention">Still missing: {{ missing.join(', ') }}.</p>
      <PersonFields :key="id" :person="person" :grades="query.data.value.grades" />
      <BadgeSection :person="person" />
      <PlanSection :technician="id" />
    </template>
  </ShopLayout>
</template>
