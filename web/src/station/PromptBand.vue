<script setup lang="ts">
import { computed } from 'vue';
import { TAKE_BACK_MS, promptFor } from '@wergon/core/station';
import type { StationDirectory, StationState } from '@wergon/core/station';
import type { Running, TargetId } from '@wergon/core/ledger';
import { toInstant } from '@wergon/core/time';
import { OLD_TRAVELER, PROMPTS, REFUSALS, sayDone, spellLength } from './messages.ts';

const props = defineProps<{
  state: StationState;
  directory: StationDirectory;
  nowMs: number;
  typed: string;
}>();
const emit = defineEmits<{ takeBack: []; blank: [] }>();

/** A task with its order's number, since every order has a winding; an activity by its title. */
function titleOf(target: TargetId): string {
  const known = props.directory.targets.get(target);
  const order = known?.kind === 'task' ? props.directory.orders.get(known.order) : undefined;
  return `${known?.title ?? 'this task'}${order ? `, ${order.number}` : ''}`;
}
const titlesOf = (running: readonly Running[]) => running.map(({ target }) => titleOf(target)).join(' and ');

const prompt = computed(() => {
  const { conversation } = props.state;
  const now = toInstant(Math.floor(props.nowMs / 1000));
  const words = PROMPTS[promptFor(props.state, props.directory, now)];
  if (conversation.step !== 'intent' || conversation.intent.kind === 'work') return words;
  return `${words} for ${conversation.intent.action.replace('-', ' ').toUpperCase()}`;
});
const band = computed(() => {
  const { said, conversation } = props.state;
  if (!said) {
    const tone = conversation.step === 'intent' ? 'question' : 'waiting';
    return { tone, headline: prompt.value, help: '' } as const;
  }
  if (said.kind === 'refused') return { tone: 'refused', ...REFUSALS[said.code](said.text) } as const;
  const names = {
    target: 'target' in said ? titleOf(said.target) : '',
    left: 'left' in said ? titlesOf(said.left) : '',
    length: said.kind === 'stopped' || said.kind === 'done' ? spellLength(said.at - said.since) : '',
  };
  const isOld = 'isOldTraveler' in said && said.isOldTraveler;
  const help = isOld ? OLD_TRAVELER : prompt.value;
  return { tone: 'done', headline: sayDone(said, names), help } as const;
});
const mark = computed(() => ({ waiting: '', done: '✓', question: '?', refused: '✕' })[band.value.tone]);
/** One's own start can be taken back while it is fresh. */
const canTakeBack = computed(() => {
  const { conversation, said, starts } = props.state;
  const who =
    conversation.step === 'person'
      ? conversation.technician
      : said?.kind === 'started' || said?.kind === 'switched'
        ? said.technician
        : undefined;
  return starts.some(({ technician, at }) => technician === who && props.nowMs - at <= TAKE_BACK_MS);
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
        <button v-if="canTakeBack" type="button" @click="emit('takeBack')">Take back</button>
        <button v-if="blankIn !== null" type="button" @click="emit('blank')">Blank screen</button>
      </div>
      <p v-if="blankIn !== null" class="blank">
        this screen goes blank in <b class="figure">{{ blankWords }}</b>
      </p>
      <p v-else class="blank">or type a code and press Enter</p>
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
  font-size: 76px;
  font-weight: 700;
  line-height: 1;
}
.words {
  flex: 1;
  min-width: 0;
}
h2 {
  margin: 0;
  font-size: clamp(30px, 3.9vw, 50px);
  font-weight: 700;
  line-height: 1.05;
  text-wrap: balance;
}
.words p {
  margin: 8px 0 0;
  font-size: clamp(18px, 1.9vw, 24px);
}
.side {
  flex: none;
  text-align: right;
}
.typed {
  display: block;
  font-size: 26px;
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
  font-size: 18px;
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
  font-size: 20px;
  font-weight: 600;
}
button:focus-visible {
  outline-color: var(--word);
}
@media (max-width: 700px) {
  .band {
    flex-wrap: wrap;
    gap: 10px 16px;
    padding: 14px 16px;
  }
  .side {
    flex: 1 0 100%;
    text-align: left;
  }
  .keys {
    justify-content: flex-start;
  }
  .mark {
    font-size: 48px;
  }
}
</style>
