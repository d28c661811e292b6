<script setup lang="ts">
import { computed, ref } from 'vue';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { StationDirectory, StationSettings } from '@wergon/core/station';
import AsideFrame from './AsideFrame.vue';
import { writeDown } from './stationApi.ts';
import { useWords } from './useWords.ts';
import { PlainButton, PlainInput } from '../kit/parts/index.ts';

/** Work that no task is there for: what it is, in words, and its order, if anybody knows it. It begins at once. */
const props = defineProps<{
  technician: TechnicianId;
  directory: StationDirectory;
  settings: StationSettings;
}>();
const emit = defineEmits<{ back: []; written: [target: TargetId] }>();
const said = useWords();
const ui = computed(() => said.value.words.ui);
const order = ref('');
const words = ref('');
const workCenters = computed(() => {
  const all = [...props.directory.resources.values()]
    .filter(({ kind }) => kind === 'work-center')
    .map(({ name }) => name);
  const own = all.filter((name) => props.settings.workCenters.includes(name));
  return (own.length > 0 ? own : all).sort((a, b) => a.localeCompare(b));
});
const workCenter = ref(workCenters.value.length === 1 ? (workCenters.value[0] ?? '') : '');
const problem = ref('');
const isBusy = ref(false);
/** Sent twice it is written down once. */
const once = crypto.randomUUID();

async function send(): Promise<void> {
  if (isBusy.value || words.value.trim() === '') return;
  isBusy.value = true;
  problem.value = '';
  const answer = await writeDown({
    technician: props.technician,
    order: order.value.trim(),
    words: words.value.trim(),
    workCenter: workCenter.value,
    once,
  });
  isBusy.value = false;
  if (answer.kind === 'ok') return emit('written', answer.value.target);
  problem.value =
    answer.kind === 'unreachable'
      ? ui.value.writeOffline
      : answer.status === 422
        ? ui.value.writeNotReleased
        : ui.value.writeRefused;
}
</script>

<template>
  <AsideFrame :title="ui.writeDown" @back="emit('back')">
    <form @submit.prevent="send">
      <label
        >{{ ui.whatIsIt }}<PlainInput v-model="words" maxlength="120" autocomplete="off" autofocus
      /></label>
      <label
        >{{ ui.orderIfKnown }}<PlainInput v-model="order" class="figure" maxlength="40" autocomplete="off"
      /></label>
      <fieldset v-if="workCenters.length > 1">
        <legend>{{ ui.where }}</legend>
        <PlainButton
          v-for="name in workCenters"
          :key="name"
          :aria-pressed="workCenter === name"
          @click="workCenter = workCenter === name ? '' : name"
          >{{ name }}</PlainButton
        >
      </fieldset>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p class="acts">
        <PlainButton type="submit" class="main" :disabled="isBusy || words.trim() === ''">{{
          ui.startIt
        }}</PlainButton>
      </p>
    </form>
  </AsideFrame>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 1fr);
  gap: 18px 24px;
  max-width: 1100px;
}
label {
  display: grid;
  gap: 6px;
  color: var(--ink-2);
}
fieldset,
.acts,
form > p {
  grid-column: 1 / -1;
  margin: 0;
}
fieldset,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
legend {
  margin-bottom: 6px;
  color: var(--ink-2);
}
button[aria-pressed='true'],
.main:not(:disabled) {
  background: var(--ink);
  color: var(--paper);
}
button:disabled {
  opacity: 0.5;
}
@media (max-width: 700px) {
  form {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
