<script setup lang="ts">
import { computed } from 'vue';
import { standingOf } from '@wergon/core/floor';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { nextTasks } from '@wergon/core/station';
import type { Message, StationDirectory, StationSettings } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
import type { Refused } from './indexedDb.ts';
import { sayBalance } from './sayBalance.ts';
import { sayLeave } from './sayLeave.ts';
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

const props = defineProps<{
  technician: TechnicianId;
  directory: StationDirectory;
  settings: StationSettings;
  now: Instant;
  refused: readonly Refused[];
}>();
const emit = defineEmits<{ pick: [target: TargetId] }>();
const said = useWords();

/** As many as fit beside a person without scrolling. */
const OFFERED = 4;
const next = computed(() =>
  nextTasks(props.directory, props.technician, props.settings, OFFERED).flatMap((id) => {
    const standing = standingOf(props.directory, id, props.now);
    if (standing?.kind !== 'task') return [];
    const { order, task, comparison } = standing;
    const { ui } = said.value.words;
    const balance =
      comparison.estimatedSeconds === null
        ? ui.noEstimate
        : sayBalance(comparison, ui, said.value.hoursStyle).text;
    return [{ id, title: task.title, number: order?.number ?? '', customer: order?.customer ?? '', balance }];
  }),
);
const messages = computed(() => props.directory.people.get(props.technician)?.messages ?? []);
/** Of a part first which, and how it stands; of time off which days, and whether it is granted. */
function sayMessage({ part, leave, state, text }: Message): string {
  const { names, words } = said.value;
  const about = leave ? sayLeave(leave, names, words) : part;
  return [[about, sayState(leave !== null, state)].filter(Boolean).join(': '), text]
    .filter(Boolean)
    .join('. ');
}
function sayState(isLeave: boolean, state: Message['state']): string {
  const { ui } = said.value.words;
  if (state === null) return '';
  if (state === 'granted' || state === 'taken-out') return ui[`leave.${state}`];
  return isLeave && state === 'refused' ? ui['leave.refused'] : ui[`part.${state}`];
}
const own = computed(() => props.refused.filter(({ technician }) => technician === props.technician));
</script>

<template>
  <aside>
    <section v-if="own.length > 0" class="refused" role="alert">
      <h2>{{ said.words.ui.notAccepted }}</h2>
      <p v-for="(each, i) in own.slice(0, 3)" :key="i">{{ each.what }}: {{ each.why }}</p>
    </section>
    <section v-if="messages.length > 0">
      <h2>{{ said.words.ui.forYou }}</h2>
      <p v-for="message in messages.slice(-2)" :key="message.at">
        {{ sayMessage(message) }}
        <span class="quiet">{{ message.by }}, {{ said.names.clock(message.at) }}</span>
      </p>
    </section>
    <section class="next">
      <h2>{{ said.words.ui.nextForYou }}</h2>
      <p v-if="next.length === 0" class="quiet">{{ said.words.ui.noNext }}</p>
      <ol>
        <li v-for="(task, i) in next" :key="task.id">
          <PlainButton @click="emit('pick', task.id)">
            <b class="figure">{{ i + 1 }}</b>
            <span>{{ task.title }}</span>
            <i
              >{{ task.balance }} · <span class="mono">{{ task.number }}</span> {{ task.customer }}</i
            >
          </PlainButton>
        </li>
      </ol>
    </section>
  </aside>
</template>

<style scoped lang="scss">
aside {
  min-width: 0;
  padding: 22px 34px 12px 26px;
  overflow: hidden;
  border-left: 1px solid var(--line);
}
section + section {
  margin-top: 22px;
}
h2 {
  margin: 0 0 10px;
  color: var(--ink-2);
  font-size: var(--far-xs);
  font-weight: 600;
}
p {
  margin: 0 0 10px;
  font-size: var(--far-xs);
  line-height: 1.25;
}
p .quiet {
  display: block;
  font-size: var(--text-xl);
}
.refused {
  padding: 10px 14px;
  border: 3px solid var(--attention);
}
ol {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  display: grid;
  grid-template-columns: 40px 1fr;
  align-items: center;
  width: 100%;
  min-height: 68px;
  padding: 6px 12px;
  background: none;
  border: 1px solid var(--line);
  color: inherit;
  text-align: left;
}
b {
  grid-row: span 2;
  color: var(--action);
  font-size: var(--text-3xl);
}
button span {
  overflow: hidden;
  font-size: var(--far-xs);
  font-weight: 600;
  line-height: 1.15;
}
i {
  grid-column: 2;
  overflow: hidden;
  color: var(--ink-2);
  font-size: var(--text-xl);
  font-style: normal;
  text-overflow: ellipsis;
  white-space: nowrap;
}
i .mono {
  font-size: inherit;
  font-weight: 400;
}
@media (max-width: 900px) {
  aside {
    padding: 12px 16px;
    overflow: visible;
    border: solid var(--line);
    border-width: 1px 0 0;
  }
}
@media (max-width: 600px) {
  .next {
    display: none;
  }
}
</style>
