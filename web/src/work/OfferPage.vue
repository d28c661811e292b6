<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormTextarea } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { callRoute, download, sayDate, useAct, useDesk } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import OfferLines from './OfferLines.vue';
import { sayWhen } from './sayWhen.ts';
import { t } from '../words/index.ts';

/** One offer as the customer gets it: printed, saved as a file, or mailed. */
const desk = useDesk();
const route = useRoute();
const { act, problem, isBusy } = useAct();
const params = computed(() => ({
  order: String(route.params['order']),
  offer: String(route.params['offer']),
}));
const query = useQuery({
  queryKey: ['order', computed(() => params.value.order), 'offers'],
  queryFn: () => callRoute('orderOffers', { params: { order: params.value.order } }),
});
const offer = computed(() => query.data.value?.offers.find(({ id }) => id === params.value.offer));
const dropped = computed(() => {
  const taken = offer.value?.answer?.accepted;
  return new Set(taken ? offer.value?.lines.map(({ id }) => id).filter((id) => !taken.includes(id)) : []);
});
const mail = ref({ to: '', text: '' });
watch(
  query.data,
  (told) => {
    if (told && mail.value.to === '' && told.ask.contact.includes('@')) mail.value.to = told.ask.contact;
    if (offer.value && mail.value.text === '')
      mail.value.text = t('work.mailText', {
        number: offer.value.number,
        title: offer.value.title,
        money: desk.money(offer.value.total),
        shop: desk.session?.shopName ?? '',
      });
  },
  { immediate: true },
);
const sent = ref('');
async function send(): Promise<void> {
  const { to, text } = mail.value;
  sent.value = '';
  const done = await act((once) =>
    callRoute('mailOffer', { params: params.value, body: { to, text, once } }),
  );
  if (done) sent.value = to;
}
function save(): void {
  if (!offer.value) return;
  const { number } = offer.value;
  const text = JSON.stringify(offer.value, null, 2);
  download(new Blob([text], { type: 'application/json' }), `offer-${number}.json`);
}
const print = () => window.print();
</script>

<template>
  <DeskFrame :title="offer ? t('work.offerNumber', { number: offer.number }) : t('work.estimates')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <p v-else-if="!offer" class="none">{{ t('work.thereIsNoSuchOffer') }}</p>
    <template v-else>
      <p class="ways acts">
        <BButton variant="primary" @click="print">{{ t('work.printOrPdf') }}</BButton>
        <BButton variant="quiet" @click="save">{{ t('work.saveAsAFile') }}</BButton>
        <RouterLink :to="{ name: 'order', params: { order: params.order } }">{{
          t('work.theOrder')
        }}</RouterLink>
        <RouterLink :to="{ name: 'estimates' }">{{ t('work.estimates') }}</RouterLink>
      </p>
      <article class="paper">
        <p class="shop">{{ desk.session?.shopName }}</p>
        <p class="to">{{ offer.customer }}</p>
        <h2>{{ t('work.offerNumber', { number: offer.number }) }}: {{ offer.title }}</h2>
        <p>
          {{ sayWhen(desk.zone, offer.at) }}, {{ offer.by
          }}<template v-if="offer.quantity > 1"
            >; {{ t('work.piecesInWords', { n: offer.quantity }) }}</template
          ><template v-if="offer.holdsUntil !== null"
            >. {{ t('work.thisOfferHoldsUntil', { day: sayDate(offer.holdsUntil) }) }}</template
          >
        </p>
        <OfferLines :lines="offer.lines" :total="offer.total" :dropped="dropped" />
        <p v-if="offer.answer" class="taken">
          {{ t('work.takenFor', { money: desk.money(offer.answer.total), by: offer.answer.by }) }}
        </p>
        <p class="words">{{ offer.words }}</p>
      </article>
      <form
        v-if="desk.session?.isDemo && desk.may('offers.ask')"
        class="ways mail"
        :aria-label="t('work.mailIt')"
        @submit.prevent="send"
      >
        <h3>{{ t('work.mailIt') }}</h3>
        <p class="quiet">
          {{ t('work.theDemoSendsNothing') }}
          <RouterLink :to="{ name: 'mails' }">{{ t('work.mailBox') }}</RouterLink>
        </p>
        <BFormInput
          v-model="mail.to"
          :aria-label="t('work.mailTo')"
          :placeholder="t('work.mailTo')"
          required
        />
        <BFormTextarea v-model="mail.text" rows="4" :aria-label="t('work.mailWords')" required />
        <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('work.sendMail') }}</BButton>
        <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
        <p v-else-if="sent" role="status">{{ t('work.mailIsInTheBox', { to: sent }) }}</p>
      </form>
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
  padding: 12px 16px;
}
.paper {
  max-width: 820px;
  margin: 0 16px 20px;
  padding: 28px 34px;
  background: var(--sheet);
  border: 1px solid var(--line);
}
.shop {
  margin: 0 0 24px;
  font-weight: 700;
}
.to {
  margin: 0 0 24px;
}
h2 {
  margin: 0 0 4px;
  font-size: var(--text-2xl);
  font-weight: 700;
}
.words {
  margin-top: 20px;
  white-space: pre-line;
}
.mail {
  display: grid;
  gap: 8px;
  max-width: 820px;
  padding: 0 16px 24px;
}
.mail button {
  justify-self: start;
}
h3 {
  margin: 0;
  font-size: var(--text-m);
  font-weight: 700;
}
.mail p {
  margin: 0;
}
@media print {
  .paper {
    max-width: none;
    margin: 0;
    padding: 0;
    border: 0;
  }
}
</style>
