<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, nextTick, ref } from 'vue';
import type { TechnicianRow } from '@wergon/contract/people';
import { NO_TYPING, normalizeForeign, typeKey } from '@wergon/core/scan';
import type { Typing } from '@wergon/core/scan';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ person: TechnicianRow }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const params = computed(() => ({ technician: props.person.id }));
const isReading = ref(false);
const typing = ref<Typing>(NO_TYPING);
const readBox = ref<HTMLElement>();
const bound = ref('');
const pin = ref('');
const pinSaid = ref('');

async function beginReading(): Promise<void> {
  isReading.value = true;
  typing.value = NO_TYPING;
  bound.value = '';
  await nextTick();
  readBox.value?.focus();
}
function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape') {
    isReading.value = false;
    return;
  }
  if (event.ctrlKey || event.altKey || event.metaKey) return;
  if (event.key === 'Enter' || event.key === 'Tab') {
    event.preventDefault();
    void bind();
    return;
  }
  event.preventDefault();
  typing.value = typeKey(typing.value, { name: event.key, at: event.timeStamp }).typing;
}
async function bind(): Promise<void> {
  const { text } = typing.value;
  typing.value = NO_TYPING;
  if (text === '') return;
  const made = await act(() => callRoute('bindBadge', { params: params.value, body: { text } }));
  if (!made) return;
  bound.value = made.code;
  isReading.value = false;
}
const issue = () => act((once) => callRoute('issueBadge', { params: params.value, body: { once } }));
const revoke = (badge: string) => act(() => callRoute('revokeBadge', { params: { badge } }));
async function savePin(next: string | null): Promise<void> {
  const done = await act(() => callRoute('setPin', { params: params.value, body: { pin: next } }));
  pinSaid.value =
    done === undefined ? '' : next === null ? t('people.noPinIsAskedAnyMore') : t('people.thePinIsSet');
  pin.value = '';
}
const columns = computed((): readonly Column<TechnicianRow['badges'][number]>[] => [
  { id: 'code', title: t('common.code'), class: 'mono', value: (badge) => badge.code ?? t('people.hidden') },
  {
    id: 'kind',
    title: t('common.kind'),
    value: (badge) => (badge.isBound ? t('people.ownCardOrFob') : t('people.issuedByUs')),
  },
  { id: 'state', title: t('people.state') },
]);
</script>

<template>
  <section>
    <h2>{{ t('people.badgesAndPin') }}</h2>
    <DataTable
      v-if="person.badges.length > 0"
      class="badges"
      :rows="person.badges"
      :columns="columns"
      :row-key="(badge) => badge.id"
      :row-class="(badge) => ({ off: badge.revokedAt })"
      ><template #state="{ row: badge }"
        ><template v-if="badge.revokedAt">{{ t('common.revoked') }}</template>
        <BButton
          v-else-if="desk.may('people.change')"
          variant="quiet"
          size="sm"
          :disabled="isBusy"
          @click="revoke(badge.id)"
        >
          {{ t('people.lostRevoke') }}
        </BButton>
        <template v-else>{{ t('people.valid') }}</template></template
      ></DataTable
    >
    <p v-else class="attention">{{ t('people.noBadgeCannotStartWorkAtAStation', { name: person.name }) }}</p>
    <template v-if="desk.may('people.change')">
      <div
        v-if="isReading"
        ref="readBox"
        class="reading"
        tabindex="0"
        role="textbox"
        :aria-label="t('people.holdTheCardToTheReaderNow')"
        @keydown.stop="onKey"
      >
        <b>{{ t('people.holdTheCardOrFobToTheReader') }}</b>
        <span class="arrived mono">{{ typing.text || '…' }}</span>
        <span v-if="typing.text" class="quiet"
          >{{ t('people.keptAs') }} <span class="mono">{{ normalizeForeign(typing.text) }}</span></span
        >
        <span class="quiet">{{ t('people.ifNothingMoreComesPressEnter') }}</span>
      </div>
      <p v-if="bound" role="status">
        {{ t('people.theCard') }} <span class="mono">{{ bound }}</span>
        {{ t('people.isSBadgeNow', { name: person.name }) }}
      </p>
      <div class="acts">
        <BButton variant="primary" :disabled="isReading" @click="beginReading">{{
          t('people.readACard')
        }}</BButton>
        <BButton variant="quiet" :disabled="isBusy" @click="issue">
          {{ t('people.issueOneMoreBadge') }}
        </BButton>
        <RouterLink
          :to="{ path: '/shop/labels', query: { kind: 'badges', person: person.id } }"
          class="btn btn-quiet"
          >{{ t('common.print') }}</RouterLink
        >
      </div>
      <form class="inline pin" @submit.prevent="savePin(pin)">
        <BFormInput
          v-model="pin"
          type="password"
          inputmode="numeric"
          autocomplete="off"
          :placeholder="person.hasPin ? t('people.newPin4To8Digits') : t('people.pin4To8Digits')"
          :aria-label="t('people.pinFourToEightDigits')"
        />
        <BButton type="submit" variant="quiet" :disabled="isBusy || pin === ''">{{
          t('people.setPin')
        }}</BButton>
        <BButton v-if="person.hasPin" variant="quiet" @click="savePin(null)">
          {{ t('people.askNoPin') }}
        </BButton>
        <span role="status">{{
          pinSaid || (person.hasPin ? t('people.aPinIsSet') : t('people.noPinIsAsked'))
        }}</span>
      </form>
    </template>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.badges {
  max-width: 760px;
}
.reading {
  display: grid;
  gap: 4px;
  max-width: 760px;
  margin: 10px 0;
  padding: 14px 16px;
  background: var(--action-tint);
  border: 1px solid var(--action);
}
.arrived {
  font-size: var(--text-3xl);
}
</style>
