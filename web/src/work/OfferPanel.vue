<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormTextarea } from 'bootstrap-vue-next';
import { computed, watch } from 'vue';
import type { OrderJson } from '@wergon/contract/compare';
import type { OrderOffersJson } from '@wergon/contract/work';
import { formatDay } from '@wergon/core/time';
import { CallFailed, callRoute, sayDate, useAct, useDesk, useForm } from '../kit/index.ts';
import { DateField, FormField } from '../kit/parts/index.ts';
import OfferAnswer from './OfferAnswer.vue';
import OfferLines from './OfferLines.vue';
import { sayWhen } from './sayWhen.ts';
import { t } from '../words/index.ts';

/** What was asked of an order, and its way to an offer and to the customer's answer. */
const props = defineProps<{ order: OrderJson['order'] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const params = computed(() => ({ order: props.order.id }));
const query = useQuery({
  queryKey: ['order', computed(() => props.order.id), 'offers'],
  queryFn: async () => {
    try {
      return await callRoute('orderOffers', { params: params.value });
    } catch (error) {
      // Most orders were never asked for as an estimate.
      if (error instanceof CallFailed && error.problem?.status === 404) return null;
      throw error;
    }
  },
  enabled: computed(() => desk.session?.makesOffers === true),
});
const told = computed(() => query.data.value ?? null);
const latest = computed(() => told.value?.offers[0]);

type Draft = {
  materials: { text: string; price: string }[];
  words: string;
  holdsUntil: string;
  contact: string;
};
const draftOf = ({ draft, ask }: OrderOffersJson): Draft => ({
  materials: draft.materials.map(({ text, price }) => ({ text, price: price ?? '' })),
  words: draft.words,
  holdsUntil: draft.holdsUntil === null ? '' : formatDay(draft.holdsUntil),
  contact: ask.contact,
});
const bodyOf = ({ materials, holdsUntil, ...more }: Draft) => ({
  ...more,
  materials: materials.map(({ text, price }) => ({ text, price: price.trim() === '' ? null : price })),
  holdsUntil: holdsUntil || null,
});
const form = useForm<Draft, 'saveOfferDraft'>(
  { materials: [], words: '', holdsUntil: '', contact: '' },
  'saveOfferDraft',
  bodyOf,
);
// What others save meanwhile is taken in only while nothing is typed here.
watch(
  told,
  (now) => {
    if (now && !form.isDirty.value) form.reset(draftOf(now));
  },
  { immediate: true },
);
const save = () =>
  form.send((fields) => callRoute('saveOfferDraft', { params: params.value, body: bodyOf(fields) }));
async function offer(): Promise<void> {
  if (form.isDirty.value && !(await save())) return;
  await act(() => callRoute('makeOffer', { params: params.value }));
}
</script>

<template>
  <section v-if="told" class="offers" :aria-label="t('work.estimateAndOffer')">
    <h3>{{ t('work.estimateAndOffer') }}</h3>
    <p class="asked">
      {{ t('work.askedByOn', { by: told.ask.by, day: sayWhen(desk.zone, told.ask.at) })
      }}<template v-if="told.ask.until !== null"
        >, {{ t('work.wantedByDay', { day: sayDate(told.ask.until) }) }}</template
      ><template v-if="told.ask.contact">, {{ told.ask.contact }}</template
      >. {{ told.ask.words }}
    </p>
    <template v-if="order.state === 'asked'">
      <OfferLines v-if="told.lines.length > 0" :lines="told.lines" :total="told.total" />
      <p v-else class="quiet">{{ t('work.addTasksFirst') }}</p>
      <form v-if="desk.may('work.change')" class="draft" @submit.prevent="save">
        <div v-for="(line, i) in form.fields.value.materials" :key="i" class="line">
          <FormField v-slot="{ id }" :label="t('work.materialInWords')" :field="`materials[${i}].text`">
            <BFormInput :id="id" v-model="line.text" size="sm" maxlength="120" />
          </FormField>
          <FormField v-slot="{ id }" :label="t('work.price')" :field="`materials[${i}].price`">
            <BFormInput :id="id" v-model="line.price" size="sm" class="figure" inputmode="decimal" />
          </FormField>
          <BButton
            variant="quiet"
            size="sm"
            :aria-label="t('work.dropMaterial', { number: i + 1 })"
            @click="form.fields.value.materials.splice(i, 1)"
            >{{ t('timesheet.drop') }}</BButton
          >
        </div>
        <p class="acts">
          <BButton
            variant="quiet"
            size="sm"
            @click="form.fields.value.materials.push({ text: '', price: '' })"
            >{{ t('work.addMaterial') }}</BButton
          >
        </p>
        <FormField v-slot="{ id }" :label="t('work.wordsToTheCustomer')" field="words">
          <BFormTextarea :id="id" v-model="form.fields.value.words" rows="2" maxlength="2000" />
        </FormField>
        <FormField v-slot="{ id }" class="day" :label="t('work.holdsUntil')" field="holdsUntil">
          <DateField :id="id" v-model="form.fields.value.holdsUntil" />
        </FormField>
        <p class="acts">
          <BButton variant="primary" :disabled="isBusy || form.isBusy.value" @click="offer">{{
            t('work.makeTheOffer')
          }}</BButton>
          <BButton type="submit" variant="quiet" :disabled="!form.isDirty.value || form.isBusy.value">{{
            t('work.keepForLater')
          }}</BButton>
        </p>
        <p v-if="problem || form.problem.value" class="attention" role="alert">
          {{ problem || form.problem.value }}
        </p>
      </form>
    </template>
    <OfferAnswer
      v-if="order.state === 'offered' && latest && desk.may('offers.ask')"
      :order="order"
      :offer="latest"
    />
    <ul v-if="told.offers.length > 0">
      <li v-for="each in told.offers" :key="each.id">
        <RouterLink :to="{ name: 'offer', params: { order: order.id, offer: each.id } }">{{
          t('work.offerNumber', { number: each.number })
        }}</RouterLink>{{ ' ' }}<b class="figure">{{ desk.money(each.total) }}</b>
        {{ t('work.byOn', { by: each.by, day: sayWhen(desk.zone, each.at) })
        }}<template v-for="mail in each.mails" :key="mail.at"
          >; {{ t('work.mailedTo', { to: mail.to, day: sayWhen(desk.zone, mail.at) }) }}</template
        ><template v-if="each.answer"
          >; {{ t('work.takenFor', { money: desk.money(each.answer.total), by: each.answer.by }) }}</template
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.offers {
  padding: 10px 16px 14px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
h3 {
  margin: 0 0 4px;
  font-size: var(--text-m);
  font-weight: 700;
}
p {
  margin: 4px 0;
}
.offers :deep(table) {
  max-width: 720px;
}
.draft {
  display: grid;
  gap: 8px;
  max-width: 720px;
  margin-top: 8px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px auto;
  gap: 8px;
  align-items: end;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.day {
  max-width: 240px;
}
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
</style>
