<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { addDays, formatDay, mondayOf, parseDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, sayMonthDay, sayRefusal, usePeople, useToday } from '../kit/index.ts';
import {
  CheckField,
  DateField,
  DeskFrame,
  FoundPeople,
  QueryState,
  ReconcileTabs,
} from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import CardTable from './CardTable.vue';

/** A person's card for a week, a pay period or any days, to be looked at and printed. */
const WEEK = 7;
const route = useRoute();
const router = useRouter();
const people = usePeople();
const today = useToday();
const search = ref('');
const hasStretches = ref(false);

const dayIn = (name: string): LocalDay | undefined => {
  const read = parseDay(String(route.query[name] ?? ''));
  return read.ok ? read.value : undefined;
};
const technician = computed(() => String(route.params['technician'] ?? '') || (people.value[0]?.id ?? ''));
const firstDay = computed(() => dayIn('from') ?? mondayOf(today.value));
const lastDay = computed(() => dayIn('to') ?? addDays(firstDay.value, WEEK - 1));
const go = (from: LocalDay, to: LocalDay, who = technician.value) =>
  router.push({
    name: 'card',
    params: { technician: who },
    query: { from: formatDay(from), to: formatDay(to) },
  });
const length = computed(() => lastDay.value - firstDay.value + 1);
const step = (by: number) => go(addDays(firstDay.value, by), addDays(lastDay.value, by));
const dayField = (which: 'from' | 'to') =>
  computed({
    get: () => formatDay(which === 'from' ? firstDay.value : lastDay.value),
    set: (text: string) => {
      const read = parseDay(text);
      if (!read.ok) return;
      if (which === 'from') void go(read.value, read.value > lastDay.value ? read.value : lastDay.value);
      else void go(read.value < firstDay.value ? read.value : firstDay.value, read.value);
    },
  });
const from = dayField('from');
const to = dayField('to');

const asked = computed(() => ({
  technician: technician.value,
  from: formatDay(firstDay.value),
  to: formatDay(lastDay.value),
}));
const query = useQuery({
  queryKey: ['card', asked],
  queryFn: () => callRoute('card', { query: asked.value }),
  placeholderData: keepPreviousData,
  enabled: computed(() => technician.value !== ''),
  retry: false,
});
function pick(who: string): void {
  search.value = '';
  void go(firstDay.value, lastDay.value, who);
}
const print = () => window.print();
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('attendance.aNightShiftCountsOnTheDayItBegan')"
    :title="t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) })"
    :step="length === WEEK ? t('kit.stepWeek') : t('common.days', { n: length })"
    :today="t('kit.toNow')"
    :search-label="t('kit.anotherPerson')"
    @back="step(-length)"
    @on="step(length)"
    @today="go(mondayOf(today), addDays(mondayOf(today), WEEK - 1))"
  >
    <ReconcileTabs />
    <FoundPeople :people="people" :search="search" @pick="pick($event)" />
    <div class="whom">
      <BFormSelect
        size="sm"
        :aria-label="t('common.person')"
        :model-value="technician"
        @update:model-value="pick(String($event))"
      >
        <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
      </BFormSelect>
      <DateField v-model="from" is-small required :label="t('attendance.firstDay')" />
      <DateField v-model="to" is-small required :label="t('attendance.lastDay')" />
      <CheckField v-model="hasStretches">{{ t('attendance.showStretches') }}</CheckField>
      <BButton variant="quiet" size="sm" @click="print">{{ t('common.print') }}</BButton>
    </div>
    <p v-if="query.error.value && query.data.value" class="attention refusal" role="alert">
      {{ sayRefusal(query.error.value) }}
    </p>
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <section v-else class="paper" :aria-label="t('attendance.cardOf', { name: query.data.value.name })">
      <h2 class="list-head">
        {{ query.data.value.name }}
        <span v-if="query.data.value.number" class="quiet">{{
          t('attendance.workerNumber', { number: query.data.value.number })
        }}</span>
        <span class="quiet">{{
          t('common.to', {
            day: sayMonthDay(query.data.value.firstDay),
            day2: sayMonthDay(query.data.value.lastDay),
          })
        }}</span>
      </h2>
      <CardTable :card="query.data.value" :has-stretches="hasStretches" is-linked />
    </section>
  </DeskFrame>
</template>

<style scoped>
.list-head span {
  margin-left: 14px;
}
.whom {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding: 10px 16px;
}
.whom .form-select {
  width: 200px;
}
.refusal {
  margin: 0;
  padding: 0 16px 8px;
}
.paper {
  padding: 0 16px 24px;
}
@media print {
  .whom {
    display: none;
  }
}
</style>
