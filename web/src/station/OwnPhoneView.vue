<script setup lang="ts">
import bwipjs from 'bwip-js/browser';
import { nextTick, onMounted, ref, useTemplateRef } from 'vue';
import type { TechnicianId } from '@wergon/core/people';
import AsideFrame from './AsideFrame.vue';
import type { OwnProof, Proving } from './ownProof.ts';
import { offerPhone } from './stationApi.ts';
import { useWords } from './useWords.ts';
import { PlainButton, PlainInput } from '../kit/parts/index.ts';

/** The code that makes a phone a station for whoever stands here, to be read by its camera or typed into it. */
const props = defineProps<{ technician: TechnicianId; hasPin: boolean; ownProof: OwnProof }>();
defineEmits<{ back: [] }>();
const said = useWords();
const address = `${location.origin}/station`;
const code = ref('');
const pin = ref('');
const problem = ref('');
/** Whether they have yet to show who they are: by their PIN, or by their badge. */
const isUnproved = ref(false);
const canvas = useTemplateRef('canvas');

async function offer(proving: Proving): Promise<void> {
  const { ui } = said.value.words;
  problem.value = proving.kind === 'wrong' ? ui.pinRefused : proving.kind === 'wait' ? ui.pinWait : '';
  isUnproved.value = proving.kind === 'wrong' || proving.kind === 'wait' || proving.kind === 'nothing';
  if (proving.kind === 'unreachable') problem.value = ui.phoneOffline;
  if (proving.kind !== 'proved') return;
  const answer = await offerPhone(props.technician, proving.proof);
  if (answer.kind === 'ok') {
    code.value = answer.value.code;
    await nextTick();
    if (canvas.value)
      bwipjs.toCanvas(canvas.value, { bcid: 'qrcode', text: `${address}#pair=${code.value}`, scale: 4 });
  }
  // What they had shown holds no longer.
  else if (answer.kind === 'refused' && answer.status === 422) isUnproved.value = true;
  else problem.value = answer.kind === 'refused' ? ui.phonesOff : ui.phoneOffline;
}
onMounted(async () => offer(await props.ownProof.prove(props.technician)));
async function provePin(): Promise<void> {
  const given = pin.value;
  pin.value = '';
  await offer(await props.ownProof.checkPin(props.technician, given));
}
</script>

<template>
  <AsideFrame :title="`${said.names.person(technician)}, ${said.words.ui.ownPhone}`" @back="$emit('back')">
    <p v-if="problem" role="alert">{{ problem }}</p>
    <form v-if="isUnproved && hasPin" class="pin" @submit.prevent="provePin">
      <label
        >{{ said.words.ui.pinForTime
        }}<PlainInput v-model="pin" type="password" inputmode="numeric" autofocus
      /></label>
      <PlainButton type="submit">{{ said.words.button.enter }}</PlainButton>
    </form>
    <p v-else-if="isUnproved">{{ said.words.ui.badgeForPhone }}</p>
    <div v-else-if="code" class="offer">
      <canvas ref="canvas" role="img" :aria-label="said.words.ui.phoneCode"></canvas>
      <div>
        <p>{{ said.words.ui.phoneSteps }}</p>
        <p class="mono address">{{ address }}</p>
        <p class="figure code">{{ code }}</p>
        <p class="quiet">{{ said.words.ui.phoneHolds }}</p>
      </div>
    </div>
    <p v-else-if="!problem" class="quiet">{{ said.words.ui.opening }}</p>
  </AsideFrame>
</template>

<style scoped>
.offer {
  display: flex;
  gap: 20px 40px;
  align-items: start;
  margin-bottom: 20px;
}
.offer p:first-child {
  margin-top: 0;
}
@media (max-width: 700px) {
  .offer {
    flex-direction: column;
  }
}
/* A code is read by its dark parts on light ground, in a dark hall too. */
canvas {
  padding: 16px;
  background: #fff;
}
.address {
  margin: 8px 0;
  font-size: var(--far-s);
}
.code {
  margin: 8px 0;
  font-size: var(--far-4xl);
  font-weight: 700;
  letter-spacing: 0.1em;
}
.pin {
  display: flex;
  gap: 14px;
  align-items: end;
  margin-bottom: 20px;
}
</style>
