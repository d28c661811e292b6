<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { optionsOf, takesOf } from '@wergon/core/station';
import type { Conversation, Option, StationDirectory } from '@wergon/core/station';
import { standingOf } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import { sayBalance } from './sayBalance.ts';
import { sayLeave } from './sayLeave.ts';
import { useWords } from './useWords.ts';
import { PlainButton, PlainInput } from '../kit/parts/index.ts';

type Asked = Extract<Conversation, { step: 'asked' }>;
const props = defineProps<{ asked: Asked; directory: StationDirectory; now: Instant }>();
const emit = defineEmits<{ choose: [option: number]; answer: [text: string] }>();
const said = useWords();

const takes = computed(() => takesOf(props.asked.question));
const options = computed(() => optionsOf(props.asked.question, props.directory));
const text = ref('');
const field = ref<HTMLInputElement>();
watch(
  () => props.asked.question,
  () => {
    text.value = '';
    // Words are typed into a field; figures come from the keys, the labels or the keyboard without one.
    if (takes.value === 'words') void nextTick(() => field.value?.focus());
  },
  { immediate: true },
);
// Digits that were scanned stand in the same place as those that were touched.
watch(
  () => props.asked.typed,
  (typed) => (text.value = typed),
);

function sayOption(option: Option): { readonly name: string; readonly more: string } {
  const { words, names, hoursStyle } = said.value;
  switch (option.kind) {
    case 'target': {
      const standing = standingOf(props.directory, option.target, props.now);
      if (standing?.kind !== 'task')
        return {
          name: names.target(option.target),
          more: props.directory.activities.get(option.target)?.description ?? '',
        };
      const { comparison } = standing;
      const balance =
        comparison.estimatedSeconds === null
          ? words.ui.noEstimate
          : sayBalance(comparison, words.ui, hoursStyle).text;
      return {
        name: standing.task.title,
        more: `${standing.order?.number ?? ''} ${standing.order?.customer ?? ''} · ${balance}`,
      };
    }
    case 'machine':
      return { name: names.machine(option.machine), more: '' };
    case 'minutes':
      return { name: `${option.minutes} min`, more: '' };
    case 'instant':
      return { name: names.clock(option.at), more: '' };
    case 'reason':
      return { name: option.reason, more: '' };
    case 'part':
      return { name: option.part, more: '' };
    case 'leave':
      return { name: words.leave[option.leave], more: '' };
    case 'take-back':
      return {
        name: `${words.ui['leave.takeBack']}: ${sayLeave(option.asked.leave, names, words)}`,
        more: words.ui[option.asked.isGranted ? 'leave.granted' : 'leave.asked'],
      };
    case 'day':
      return { name: names.day(option.day), more: '' };
    case 'word':
      return { name: words.word[option.word], more: '' };
  }
}
const rows = computed(() => options.value.map(sayOption));
const isPin = computed(() => props.asked.question.kind === 'pin');
const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', ',', '0', '⌫'] as const;
function key(name: (typeof KEYS)[number]): void {
  if (name === '⌫') text.value = text.value.slice(0, -1);
  else if (text.value.length < 10) text.value += takes.value === 'clock' && name === ',' ? ':' : name;
}
/** Whether one of the answers sends what was typed: then nothing else does. */
const hasSend = computed(() => options.value.some(isSend));
const isSend = (option: Option) => option.kind === 'word' && option.word === 'send';
/** Send takes the words that stand in the field along; only an empty field is sent without them. */
function choose(i: number): void {
  const option = options.value[i];
  if (option && isSend(option) && text.value.trim() !== '') send();
  else emit('choose', i);
}
function send(): void {
  emit('answer', text.value);
  text.value = '';
}
</script>

<template>
  <section class="question" :class="takes">
    <div class="asked">
      <h1>{{ said.names.person(asked.person.technician) }}</h1>
      <form v-if="takes === 'words'" class="words" @submit.prevent="send">
        <PlainInput
          ref="field"
          v-model="text"
          :aria-label="said.words.ui.typeHere"
          :placeholder="said.words.ui.typeHere"
          maxlength="300"
          autocomplete="off"
        />
        <PlainButton v-if="!hasSend" type="submit" class="enter">{{ said.words.button.enter }}</PlainButton>
      </form>
      <ol v-if="rows.length > 0">
        <li v-for="(row, i) in rows" :key="i">
          <PlainButton @click="choose(i)">
            <b v-if="takes !== 'words'" class="number figure">{{ i + 1 }}</b>
            <span class="name">{{ row.name }}</span>
            <span v-if="row.more" class="more">{{ row.more }}</span>
          </PlainButton>
        </li>
      </ol>
    </div>
    <div v-if="takes === 'figures' || takes === 'clock'" class="pad">
      <output class="figure">{{ isPin ? '•'.repeat(text.length) : text }}<span class="caret"></span></output>
      <PlainButton v-for="name in KEYS" :key="name" :disabled="name === ',' && isPin" @click="key(name)">
        {{ name === ',' && takes === 'clock' ? ':' : name }}
      </PlainButton>
      <PlainButton class="enter" @click="send">{{ said.words.button.enter }}</PlainButton>
    </div>
  </section>
</template>

<style scoped lang="scss">
.question {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 34px;
  height: 100%;
  padding: 26px 34px;
  overflow: auto;
}
h1 {
  margin: 0 0 18px;
  font-size: var(--far-2xl);
  font-weight: 700;
}
ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(340px, 100%), 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  min-height: 56px;
  background: none;
  border: 2px solid var(--ink-2);
  color: inherit;
}
ol button {
  display: grid;
  grid-template-columns: 46px 1fr;
  align-items: center;
  width: 100%;
  height: 100%;
  min-height: clamp(74px, 12vh, 130px);
  padding: 8px 18px;
  text-align: left;
}
.number {
  grid-row: span 2;
  color: var(--action);
  font-size: var(--text-4xl);
}
.name {
  font-size: var(--far-m);
  font-weight: 600;
  line-height: 1.15;
}
.name:last-child {
  grid-row: span 2;
}
.more {
  grid-column: 2;
  color: var(--ink-2);
  font-size: var(--far-xs);
}
.words {
  display: flex;
  gap: 10px;
  max-width: 900px;
  margin-bottom: 16px;
}
input {
  flex: 1;
  min-width: 0;
  min-height: 60px;
  padding: 0 16px;
  background: var(--sheet);
  border: 2px solid var(--ink-2);
  color: var(--ink);
  font-size: var(--text-3xl);
}
.pad {
  display: grid;
  grid-template-columns: repeat(3, 84px);
  gap: 8px;
  align-content: start;
  output {
    grid-column: 1 / -1;
    min-height: 62px;
    padding: 4px 14px;
    border-bottom: 3px solid var(--ink);
    font-size: var(--text-5xl);
    line-height: 54px;
    text-align: right;
  }
  button {
    min-height: 62px;
    font-size: var(--text-4xl);
  }
}
.enter {
  padding: 0 24px;
  background: var(--action);
  border-color: var(--action);
  color: var(--action-ink);
  font-size: var(--text-3xl);
  font-weight: 700;
}
.pad .enter {
  grid-column: 1 / -1;
}
.caret {
  display: inline-block;
  width: 3px;
  height: 0.8em;
  margin-left: 4px;
  background: currentcolor;
}
@media (max-width: 900px) {
  .question {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    gap: 16px;
    padding: 16px;
  }
  .pad {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
