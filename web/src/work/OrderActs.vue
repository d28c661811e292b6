<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { OrderJson, OrderRow, TaskRow } from '@wergon/contract/compare';
import { ORDER_MOVES } from '@wergon/core/work';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { CheckField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

type State = OrderRow['state'];
const props = defineProps<{ order: OrderJson['order']; tasks: readonly TaskRow[] }>();
const desk = useDesk();
const router = useRouter();
const { act, problem, isBusy } = useAct();
/** A step that wants an answer first. */
const asks = ref<'people' | 'accept' | 'copy' | null>(null);
const wanted = ref<State>('on-hold');
const accepted = ref<string[]>([]);
const copyNumber = ref('');
const params = computed(() => ({ order: props.order.id }));

const WORDS: Readonly<Record<State, string>> = {
  asked: t('work.takeUpAgain'),
  offered: t('work.makeTheOffer'),
  lost: t('work.lost'),
  draft: t('work.backToDraft'),
  accepted: t('common.accept'),
  released: t('work.release'),
  'on-hold': t('work.hold'),
  finished: t('work.finish'),
  closed: t('common.close'),
};
const wordFor = (to: State): string => {
  if (to === 'finished' && props.order.state === 'closed') return t('work.openAgain');
  if (to === 'draft' && props.order.state === 'asked') return t('work.aJobWithoutAnOffer');
  if (props.order.state === 'offered')
    return to === 'asked' ? t('work.takeTheOfferBack') : t('work.theCustomerSaysNo');
  return to === 'released' && !['draft', 'accepted'].includes(props.order.state)
    ? t('work.releaseAgain')
    : WORDS[to];
};
const moves = computed(() => ORDER_MOVES[props.order.state]);
const optional = computed(() => props.tasks.filter(({ isOptional }) => isOptional));

async function go(state: State, more: { stopsPeople?: boolean; accepted?: string[] } = {}): Promise<void> {
  const done = await act(() =>
    callRoute('changeOrderState', { params: params.value, body: { state, ...more } }),
  );
  if (done !== undefined) asks.value = null;
}
function begin(to: State): void {
  wanted.value = to;
  if (to === 'accepted' && optional.value.length > 0) {
    accepted.value = optional.value.map(({ id }) => id);
    asks.value = 'accept';
  } else if (props.order.peopleOn.length > 0 && to !== 'released') asks.value = 'people';
  else void go(to);
}
async function beginCopy(): Promise<void> {
  asks.value = 'copy';
  copyNumber.value = (await callRoute('preparation')).nextNumber;
}
async function copy(): Promise<void> {
  const made = await act(() =>
    callRoute('duplicateOrder', { params: params.value, body: { number: copyNumber.value } }),
  );
  if (!made) return;
  asks.value = null;
  await router.push({ name: 'edit-order', params: { order: made.id } });
}
</script>

<template>
  <div v-if="desk.may('work.change')" class="order-acts">
    <div v-if="asks === null" class="buttons">
      <BButton v-for="to in moves" :key="to" variant="quiet" :disabled="isBusy" @click="begin(to)">
        {{ wordFor(to) }}
      </BButton>
      <RouterLink
        v-if="order.state !== 'offered'"
        :to="{ name: 'edit-order', params }"
        class="btn btn-quiet"
        >{{ t('common.change') }}</RouterLink
      >
      <RouterLink
        :to="{ path: '/shop/labels', query: { kind: 'travelers', order: order.id } }"
        class="btn btn-quiet"
        >{{ t('work.traveler') }}</RouterLink
      >
      <RouterLink :to="{ name: 'story', params }" class="btn btn-quiet">{{ t('work.story') }}</RouterLink>
      <BButton variant="quiet" @click="beginCopy">{{ t('work.copy') }}</BButton>
    </div>
    <div v-else-if="asks === 'people'" class="ask" role="alert">
      <p>
        <b>{{ order.peopleOn.join(', ') }}</b>
        {{ t('work.onThisOrderNowNothingStopsBy', { n: order.peopleOn.length }) }}
      </p>
      <BButton variant="primary" :disabled="isBusy" @click="go(wanted, { stopsPeople: true })">{{
        t('work.andStopThem', { act: wordFor(wanted) })
      }}</BButton>
      <BButton variant="quiet" :disabled="isBusy" @click="go(wanted)">
        {{ t('work.leaveThemOnIt', { act: wordFor(wanted) }) }}
      </BButton>
      <BButton variant="quiet" @click="asks = null">{{ t('work.notNow') }}</BButton>
    </div>
    <form v-else-if="asks === 'accept'" class="ask" @submit.prevent="go('accepted', { accepted })">
      <p>
        <b>{{ t('work.whichOptionalTasksWereAccepted') }}</b> {{ t('work.theOthersStayOnPaperAndAreNo') }}
      </p>
      <CheckField v-for="task in optional" :key="task.id" v-model="accepted" class="check" :value="task.id">{{
        task.title
      }}</CheckField>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('common.accept') }}</BButton>
      <BButton variant="quiet" @click="asks = null">{{ t('work.notNow') }}</BButton>
    </form>
    <form v-else class="ask" @submit.prevent="copy">
      <label
        >{{ t('work.numberOfTheCopy') }} <BFormInput v-model="copyNumber" class="figure" required
      /></label>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('work.makeADraft') }}</BButton>
      <BButton variant="quiet" @click="asks = null">{{ t('work.notNow') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.order-acts {
  flex: none;
  max-width: 60%;
}
.buttons,
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  justify-content: flex-end;
}
.ask p {
  width: 100%;
  margin: 0;
  text-align: right;
}
.attention {
  margin: 6px 0 0;
  text-align: right;
}
</style>
