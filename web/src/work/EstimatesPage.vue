<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormTextarea } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { EstimateJson } from '@wergon/contract/work';
import { callRoute, sayDate, useDesk, useForm, useToday } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, DateField, DeskFrame, FormField, MatchNote, QueryState } from '../kit/parts/index.ts';
import { sayState } from './stateWords.ts';
import { t } from '../words/index.ts';

/** Estimates that the office has asked for, what was offered of them, and what became of it. */
const desk = useDesk();
const router = useRouter();
const today = useToday();
const query = useQuery({ queryKey: ['estimates'], queryFn: () => callRoute('estimates') });
const all = computed(() => query.data.value?.estimates ?? []);
const search = ref('');
const found = computed(() => {
  const words = search.value.trim().toLowerCase();
  return all.value.filter(({ number, title, customer }) =>
    `${number} ${title} ${customer}`.toLowerCase().includes(words),
  );
});
const parts = computed(() => [
  { key: 'asked', title: t('work.askedFor'), rows: found.value.filter(({ state }) => state === 'asked') },
  {
    key: 'offered',
    title: t('work.offeredHead'),
    rows: found.value.filter(({ state }) => state === 'offered'),
  },
  {
    key: 'answered',
    title: t('work.answeredHead'),
    rows: found.value.filter(({ state }) => state !== 'asked' && state !== 'offered'),
  },
]);

const blank = { title: '', customer: '', contact: '', until: '', words: '' };
const form = useForm<typeof blank, 'askEstimate'>(blank, 'askEstimate', ({ until, ...fields }) => ({
  ...fields,
  until: until || null,
}));
const isAsking = ref(false);
let once: string = crypto.randomUUID();
async function ask(): Promise<void> {
  const made = await form.send(({ until, ...fields }) =>
    callRoute('askEstimate', { body: { ...fields, until: until || null, once } }),
  );
  if (!made) return;
  once = crypto.randomUUID();
  form.reset(blank);
  isAsking.value = false;
  await router.push({ name: 'order', params: { order: made.answer.id } });
}
const dayOf = ({ askedAt }: EstimateJson) => (desk.zone ? sayDate(desk.zone.dayAt(askedAt)) : '');
const isLate = ({ state, until }: EstimateJson) => state === 'asked' && until !== null && until < today.value;
const columns: readonly Column<EstimateJson>[] = [
  { id: 'number', title: t('common.order'), class: 'figure' },
  { id: 'title', title: t('work.whatIsDone'), value: ({ title }) => title },
  { id: 'customer', title: t('common.customer'), value: ({ customer }) => customer },
  {
    id: 'asked',
    title: t('work.askedBy'),
    value: (row) => t('work.byOn', { by: row.askedBy, day: dayOf(row) }),
  },
  {
    id: 'until',
    title: t('work.wantedBy'),
    value: ({ until }) => (until === null ? '' : sayDate(until)),
    cellClass: (row) => ({ attention: isLate(row) }),
  },
  { id: 'state', title: t('work.whereItStands'), value: ({ state }) => sayState(state) },
  {
    id: 'total',
    title: t('work.offerTotal'),
    class: 'figure number',
    value: ({ offer }) => (offer ? desk.money(offer.total) : ''),
  },
  {
    id: 'holds',
    title: t('work.holdsUntil'),
    value: ({ state, offer }) =>
      state === 'offered' && offer?.holdsUntil != null ? sayDate(offer.holdsUntil) : '',
    cellClass: ({ offer }) => ({ attention: offer?.holdsUntil != null && offer.holdsUntil < today.value }),
  },
];
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('work.estimatesLead')"
    :title="t('work.estimates')"
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
        <BButton v-if="desk.may('offers.ask') && !isAsking" variant="primary" @click="isAsking = true">{{
          t('work.askForAnEstimate')
        }}</BButton>
        <RouterLink v-if="desk.session?.isDemo" :to="{ name: 'mails' }">{{ t('work.mailBox') }}</RouterLink>
        <RouterLink :to="{ name: 'work' }">{{ t('work.toOrders') }}</RouterLink>
      </p>
      <form v-if="isAsking" class="ask" :aria-label="t('work.askForAnEstimate')" @submit.prevent="ask">
        <FormField v-slot="{ id }" :label="t('work.whatIsToBeDone')" field="title">
          <BFormInput :id="id" v-model="form.fields.value.title" maxlength="120" autofocus />
        </FormField>
        <FormField v-slot="{ id }" :label="t('work.forWhom')" field="customer">
          <BFormInput :id="id" v-model="form.fields.value.customer" maxlength="120" />
        </FormField>
        <FormField v-slot="{ id }" :label="t('work.mailAddressOrWhomToCall')" field="contact">
          <BFormInput :id="id" v-model="form.fields.value.contact" maxlength="120" />
        </FormField>
        <FormField v-slot="{ id }" :label="t('work.wantedBy')" field="until">
          <DateField :id="id" v-model="form.fields.value.until" />
        </FormField>
        <FormField v-slot="{ id }" class="wide" :label="t('work.whatTheCustomerSays')" field="words">
          <BFormTextarea :id="id" v-model="form.fields.value.words" rows="3" maxlength="2000" />
        </FormField>
        <p class="wide acts">
          <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
            t('work.askTheShop')
          }}</BButton>
          <BButton variant="quiet" @click="isAsking = false">{{ t('work.notNow') }}</BButton>
          <span v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</span>
        </p>
      </form>
      <MatchNote v-model:search="search" :shown="found.length" :of="all.length" />
      <p v-if="all.length === 0" class="none">{{ t('work.noEstimateIsAskedFor') }}</p>
      <template v-for="{ key, title, rows } in parts" :key="key">
        <section v-if="rows.length > 0" :aria-label="title">
          <h2 class="list-head">
            {{ title }} <span>{{ rows.length }}</span>
          </h2>
          <DataTable class="across" :rows="rows" :columns="columns" :row-key="({ order }) => order">
            <template #number="{ row }">
              <RouterLink :to="{ name: 'order', params: { order: row.order } }">{{ row.number }}</RouterLink>
            </template>
          </DataTable>
        </section>
      </template>
    </template>
  </DeskFrame>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  margin: 0;
  padding: 10px 16px;
}
.none {
  margin: 0;
  padding: 8px 16px;
}
.ask {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px 16px;
  padding: 12px 16px;
  background: var(--action-tint);
  border-bottom: 1px solid var(--line);
}
.wide {
  grid-column: 1 / -1;
  padding: 0;
}
@media (max-width: 900px) {
  .ask {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
