<script setup lang="ts">
import { computed } from 'vue';
import { TAKE_BACK_MS, promptFor } from '@wergon/core/station';
import type { StationDirectory, StationSettings, StationState } from '@wergon/core/station';
import { titleOfAction } from '@wergon/core/scan';
import { toInstant } from '@wergon/core/time';
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

const props = defineProps<{
  state: StationState;
  directory: StationDirectory;
  settings: StationSettings;
  nowMs: number;
  typed: string;
}>();
const emit = defineEmits<{ takeBack: []; blank: [] }>();
const said = useWords();

const prompt = computed(() => {
  const { conversation } = props.state;
  const { words, names } = said.value;
  if (conversation.step === 'asked') return words.question(conversation.question, names);
  const now = toInstant(Math.floor(props.nowMs / 1000));
  const found = promptFor(props.state, props.directory, props.settings, now);
  // A question has its own words, above.
  const headline = words.prompt[found as keyof typeof words.prompt];
  const action =
    conversation.step === 'intent' && conversation.intent.kind === 'action'
      ? `: ${titleOfAction(conversation.intent.action)}`
      : '';
  return { headline: `${headline}${action}`, help: '' };
});
const band = computed(() => {
  const { said: what, conversation } = props.state;
  const { words, names } = said.value;
  const isAsking =
    conversation.step === 'intent' || conversation.step === 'asked' || conversation.step === 'crew';
  if (!what) return { tone: isAsking ? 'question' : 'waiting', ...prompt.value } as const;
  if (what.kind === 'refused') return { tone: 'refused', ...words.refusal(what.code, what.text) } as const;
  const line = words.said(what, names);
  return { tone: 'done', headline: line.headline, help: line.help || prompt.value.headline } as const;
});
const mark = computed(() => ({ waiting: '', done: '✓', question: '?', refused: '✕' })[band.value.tone]);
/** One's own last act can be taken back while it is fresh. */
const canTakeBack = computed(() => {
  const { conversation, said: what, acts } = props.state;
  const who =
    conversation.step === 'person'
      ? conversation.person.technician
      : conversation.step === 'idle' && what && 'technician' in what
        ? what.technician
        : undefined;
  return acts.some(({ technician, at }) => technician === who && props.nowMs - at <= TAKE_BACK_MS);
});
const blankIn = computed(() =>
  props.state.blankAt === null ? null : Math.max(0, Math.round((props.state.blankAt - props.nowMs) / 1000)),
);
const blankWords = computed(() =>
  blankIn.value === null
    ? ''
    : `${Math.floor(blankIn.value / 60)}:${String(blankIn.value % 60).padStart(2, '0')}`,
);
</script>

<template>
  <footer class="band" :class="band.tone" aria-live="assertive">
    <span v-if="mark" class="mark" aria-hidden="true">{{ mark }}</span>
    <div class="words">
      <h2>{{ band.headline }}</h2>
      <p v-if="band.help">{{ band.help }}</p>
    </div>
    <div class="side">
      <output v-if="typed" class="typed mono">{{ typed }}<span class="caret"></span></output>
      <div v-if="canTakeBack || blankIn !== null" class="keys">
        <PlainButton v-if="canTakeBack" @click="emit('takeBack')">
          {{ said.words.button['take-back'] }}
        </PlainButton>
        <PlainButton v-if="blankIn !== null" @click="emit('blank')">
          {{ said.words.button.blank }}
        </PlainButton>
      </div>
      <p v-if="blankIn !== null" class="blank">
        {{ said.words.ui.blankIn }} <b class="figure">{{ blankWords }}</b>
      </p>
      <p v-else-if="settings.mayType" class="blank">{{ said.words.ui.orType }}</p>
    </div>
  </footer>
</template>

<style scoped lang="scss">
.band {
  --ground: #f4efe4;
  --word: #15181a;
  display: flex;
  gap: 34px;
  align-items: center;
  min-height: 142px;
  padding: 18px 34px;
  background: var(--ground);
  color: var(--word);
}
.done {
  --ground: #bfe3df;
}
.question {
  --ground: #f0a868;
}
.refused {
  --ground: #fff;
  padding: 8px 24px;
  border: 10px solid #15181a;
}
.mark {
  font-size: var(--far-mark);
  font-weight: 700;
  line-height: 1;
}
.words {
  flex: 1;
  min-width: 0;
}
h2 {
  margin: 0;
  // At least a twentieth of the screen's height: to be read from two metres.
  font-size: var(--far-headline);
  font-weight: 700;
  line-height: 1.05;
  text-wrap: balance;
}
.words p {
  margin: 8px 0 0;
  font-size: var(--far-s);
}
.side {
  flex: none;
  text-align: right;
}
.typed {
  display: block;
  font-size: var(--text-3xl);
  font-weight: 600;
}
.caret {
  display: inline-block;
  width: 12px;
  height: 1.1em;
  margin-left: 2px;
  vertical-align: text-bottom;
  background: currentcolor;
}
.blank {
  margin: 6px 0 0;
  font-size: var(--text-xl);
}
.keys {
  display: flex;
  gap: 8px;
  justify-content: flex-end;
}
button {
  min-height: 48px;
  padding: 0 18px;
  background: none;
  border: 2px solid var(--word);
  color: inherit;
  font-size: var(--text-2xl);
  font-weight: 600;
}
button:focus-visible {
  outline-color: var(--word);
}
@media (max-width: 900px) {
  .band {
    flex-wrap: wrap;
    gap: 10px 16px;
    padding: 14px 16px;
  }
  .words {
    flex: 1 1 60%;
  }
  .side {
    flex: 1 0 100%;
    text-align: left;
  }
  .keys {
    justify-content: flex-start;
  }
  .mark {
    font-size: var(--text-5xl);
  }
  h2 {
    font-size: var(--far-lead);
  }
}
@media (max-width: 600px) {
  .band {
    min-height: 0;
    padding: 10px 14px;
  }
  .mark {
    font-size: var(--text-4xl);
  }
  .words p {
    margin-top: 2px;
    line-height: 1.25;
  }
  .blank,
  .side:not(:has(button, output)) {
    display: none;
  }
  h2 {
    font-size: var(--far-row);
  }
}
</style>
