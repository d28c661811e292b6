<script setup lang="ts">
import { computed } from 'vue';
import type { LaborState } from '@wergon/core/ledger';
import type { HideableAct, PersonBrief, Touch } from '@wergon/core/station';
import { useWords } from './useWords.ts';
import type { Button } from './words/index.ts';
import { PlainButton } from '../kit/parts/index.ts';

const props = defineProps<{
  stands: LaborState;
  person: PersonBrief | undefined;
  /** What the shop does not use here. */
  hidden: readonly HideableAct[];
  offersPhones: boolean;
  writesDown: 'nobody' | 'leads' | 'everybody';
}>();
const emit = defineEmits<{ act: [action: Touch]; ownTime: []; ownPhone: []; writeDown: [] }>();
const said = useWords();

type Shown = { readonly button: Button; readonly act: Touch | 'own-time' | 'own-phone' | 'write-down' };
const plain = (...acts: (Button & Touch)[]): Shown[] => acts.map((act) => ({ button: act, act }));

/** What makes sense for somebody who stands as they do; nothing that would only be refused. */
const shown = computed(() =>
  sensible.value.filter(({ button }) => !props.hidden.some((each) => each === button)),
);
const mayWrite = computed(
  () => props.writesDown === 'everybody' || (props.writesDown === 'leads' && props.person?.isLead === true),
);
const sensible = computed<Shown[]>(() => {
  const { doing, shift } = props.stands;
  const isOn = doing.status === 'work';
  const isIn = shift !== null || doing.status !== 'nothing';
  return [
    ...(isOn ? plain('off-task', 'done', 'join') : []),
    ...(doing.status === 'break'
      ? [{ button: 'break-over', act: 'break' } as const]
      : isIn
        ? plain('break')
        : []),
    ...(isIn ? plain('shift-out') : plain('shift-in')),
    ...plain('find', 'indirect', 'earlier'),
    ...(mayWrite.value ? [{ button: 'write-down', act: 'write-down' } as const] : []),
    ...(isOn ? plain('note') : []),
    ...plain('part', 'help'),
    ...(props.person?.isLead && props.person.crew !== '' ? plain('lead-crew') : []),
    { button: 'own-time', act: 'own-time' } as const,
    ...(props.offersPhones ? [{ button: 'own-phone', act: 'own-phone' } as const] : []),
  ];
});
function press(act: Shown['act']): void {
  if (act === 'own-time') emit('ownTime');
  else if (act === 'own-phone') emit('ownPhone');
  else if (act === 'write-down') emit('writeDown');
  else emit('act', act);
}
</script>

<template>
  <nav>
    <PlainButton v-for="{ button, act } in shown" :key="button" @click="press(act)">
      {{ said.words.button[button] }}
    </PlainButton>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
button {
  min-height: 52px;
  padding: 0 clamp(9px, 0.95vw, 22px);
  background: none;
  border: 1px solid var(--ink-2);
  color: inherit;
  font-size: var(--far-xs);
}
</style>
