<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { callRoute, useDesk } from '../kit/index.ts';
import { QueryState, ShopLayout } from '../kit/parts/index.ts';
import AbsenceSection from './AbsenceSection.vue';
import AllowanceSection from './AllowanceSection.vue';
import BadgeSection from './BadgeSection.vue';
import GuaranteeSection from './GuaranteeSection.vue';
import PayGroupSection from './PayGroupSection.vue';
import PersonFields from './PersonFields.vue';
import PlanSection from './PlanSection.vue';
import { t } from '../words/index.ts';

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
    ...(desk.may('rates.see') && !known.hasRate ? [t('people.aCostRateForToday')] : []),
    ...(known.badges.every(({ revokedAt }) => revokedAt !== null) ? [t('people.aBadge')] : []),
    ...(plan.data.value?.patterns.length === 0 ? [t('people.aWorkPlan')] : []),
  ];
});
</script>

<template>
  <ShopLayout :title="person?.name ?? t('common.person')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <p v-else-if="!person">
      {{ t('people.nobodyOfThisNameWorksHere') }}
      <RouterLink to="/shop/people">{{ t('people.allPeople') }}</RouterLink>
    </p>
    <template v-else>
      <p class="lead-words">
        {{ t('common.number') }} <span class="mono">{{ person.number }}</span> ·
        <RouterLink to="/shop/people">{{ t('people.allPeopleWord') }}</RouterLink>
        <template v-if="desk.may('rates.see')">
          ·
          <RouterLink :to="{ name: 'rates', params: { technician: id } }">{{
            t('people.costRates')
          }}</RouterLink>
          <span v-if="!person.hasRate" class="attention"> ({{ t('people.noneToday') }})</span></template
        >
      </p>
      <p v-if="missing.length > 0" class="attention">
        {{ t('people.stillMissing', { missing: missing.join(', ') }) }}
      </p>
      <PersonFields :key="id" :person="person" :grades="query.data.value.grades" />
      <BadgeSection :person="person" />
      <PlanSection :technician="id" />
      <AbsenceSection :technician="id" />
      <AllowanceSection :technician="id" />
      <PayGroupSection :technician="id" />
      <GuaranteeSection :technician="id" />
    </template>
  </ShopLayout>
</template>
