<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import type { OrderJson } from '@wergon/contract/compare';
import type { OfferJson } from '@wergon/contract/work';
import { formatCents, toCents } from '@wergon/core/money';
import { callRoute, useAct, useDesk } from '../kit/index.ts';
import { CheckField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** What the customer says to an offer: all of it, some lines of it, or no. */
const props = defineProps<{ order: OrderJson['order']; offer: OfferJson }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const accepted = ref<string[]>([]);
watch(
  () => props.offer.id,
  () => (accepted.value = props.offer.lines.map(({ id }) => id)),
  { immediate: true },
);
const taken = computed(() => props.offer.lines.filter(({ id }) => accepted.value.includes(id)));
/** What the lines that are ticked come to. Prices have two decimals, and so are whole cents. */
const total = computed(() =>
  formatCents(toCents(taken.value.reduce((sum, { price }) => sum + Math.round(Number(price ?? 0) * 100), 0))),
);
const hasTask = computed(() => taken.value.some(({ kind }) => kind === 'task'));
const isWhole = computed(() => taken.value.length === props.offer.lines.length);
const answer = () =>
  act(() =>
    callRoute('answerOffer', {
      params: { order: props.order.id, offer: props.offer.id },
      body: { accepted: accepted.value },
    }),
  );
</script>

<template>
  <form class="answer" :aria-label="t('work.theCustomersAnswer')" @submit.prevent="answer">
    <h4>{{ t('work.theCustomersAnswer') }}</h4>
    <CheckField v-for="line in offer.lines" :key="line.id" v-model="accepted" class="check" :value="line.id"
      >{{ line.text }}, {{ line.price === null ? t('work.included') : desk.money(line.price) }}</CheckField
    >
    <p class="acts">
      <BButton type="submit" variant="primary" :disabled="isBusy || !hasTask">{{
        t(isWhole ? 'work.takenWhole' : 'work.takenInPart', { money: desk.money(total) })
      }}</BButton>
      <span v-if="!hasTask" class="quiet">{{ t('work.withoutATaskItIsANo') }}</span>
    </p>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </form>
</template>

<style scoped>
.answer {
  display: grid;
  justify-items: start;
  max-width: 720px;
  margin: 8px 0;
  padding: 10px 12px;
  background: var(--action-tint);
}
h4 {
  margin: 0 0 6px;
  font-size: var(--text-s);
  font-weight: 700;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 8px 0 0;
}
</style>
