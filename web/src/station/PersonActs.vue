<script setup lang="ts">
import { computed } from 'vue';
import type { LaborState } from '@wergon/core/ledger';
import type { HideableAct, PersonBrief, Touch } from '@wergon/core/station';
import { useWords } from './useWords.ts';
import type { Button } from './words/index.ts';
import { isAside } from './aside.ts';
import type { Aside } from './aside.ts';
import { PlainButton } from '../kit/parts/index.ts';

const props = defineProps<{
  stands: LaborState;
  person: PersonBrief | undefined;
  /** What the shop does not use here. */
  hidden: readonly HideableAct[];
  offersPhones: boolean;
  writesDown: 'nobody' | 'leads' | 'everybody';
  /** Whether people go out from here: stages of a way are offered. */
  goesOut: boolean;
  /** Whether they are on one task, whose steps and papers can be shown. */
  hasPapers: boolean;
}>();
const emit = defineEmits<{ act: [action: Touch]; show: [what: Aside] }>();
const said = useWords();

type Shown = { readonly button: Button; readonly act: Touch | Aside };
const plain = (...acts: (Button & (Touch | Aside))[]): Shown[] => acts.map((act) => ({ button: act, act }));

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
  const isOnTheWay = doing.status === 'work' && doing.running.some(({ workType }) => workType === 'travel');
  return [
    ...(props.goesOut ? plain(isOnTheWay ? 'on-site' : 'on-the-way') : []),
    ...(isOn ? plain('off-task', 'done', 'join') : []),
    ...(doing.status === 'break'
      ? [{ button: 'break-over', act: 'break' } as const]
      : isIn
        ? plain('break')
        : []),
    ...(isIn ? plain('shift-out') : plain('shift-in')),
    ...plain('find', 'indirect', 'earlier'),
    ...(mayWrite.value ? plain('write-down') : []),
    ...(isOn ? plain('work-type', 'note') : []),
    ...(props.hasPapers ? plain('task-papers') : []),
    ...plain('part', 'help'),
    ...(props.person?.isLead && props.person.crew !== '' ? plain('lead-crew') : []),
    ...plain('time-off', 'own-time'),
    ...(props.offersPhones ? plain('own-phone') : []),
  ];
});
function press(act: Shown['act']): void {
  if (isAside(act)) emit('show', act);
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
