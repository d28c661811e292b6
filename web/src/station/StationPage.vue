<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { personStanding, standingOf } from '@wergon/core/floor';
import type { TargetId } from '@wergon/core/ledger';
import type { Source } from '@wergon/core/station';
import type { WorkType } from '@wergon/core/work';
import type { Aside } from './aside.ts';
import { formatClock } from './formatClock.ts';
import IdleView from './IdleView.vue';
import { registerServiceWorker } from '../kit/index.ts';
import PairView from './PairView.vue';
import PersonView from './PersonView.vue';
import PromptBand from './PromptBand.vue';
import QuestionView from './QuestionView.vue';
import StandingView from './StandingView.vue';
import { isWritable } from './stationApi.ts';
import { useScanner } from './useScanner.ts';
import { useStation } from './useStation.ts';
import { provideWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

/** Views that few need at a time: the device keeps them, and reads them when they are asked for. */
const CrewView = defineAsyncComponent(() => import('./CrewView.vue'));
const KindsView = defineAsyncComponent(() => import('./KindsView.vue'));
const OwnTimeView = defineAsyncComponent(() => import('./OwnTimeView.vue'));
const BenchDrawer = defineAsyncComponent(() => import('./BenchDrawer.vue'));
/** With what draws its code, which few ever need. */
const OwnPhoneView = defineAsyncComponent(() => import('./OwnPhoneView.vue'));
const TaskPapersView = defineAsyncComponent(() => import('./TaskPapersView.vue'));
const WriteDownView = defineAsyncComponent(() => import('./WriteDownView.vue'));
const CameraView = defineAsyncComponent(() => import('./CameraView.vue'));

const station = useStation();
const { state, directory, info, settings, connection, now, waiting, refused, dispatch } = station;
const said = provideWords(station);
const { typing, hasFocus } = useScanner({
  hear: (text: string, source: Source) => station.scan(text, source),
  learn: station.calibrate,
  profile: () => info.value?.scanner ?? null,
  /** One figure is an answer where one is asked for, or the number of a task that the screen offers. */
  expectsDigit: () => state.value.conversation.step === 'asked' || state.value.conversation.step === 'person',
});
const isBenchOpen = ref(false);
/** A link from the desk pairs this browser anew, even if it is a station already. */
const isPairing = ref(location.hash.startsWith('#pair='));
const aside = ref<Aside | null>(null);
const isCameraOpen = ref(false);
/** Browsers lend a camera only to pages that came securely. */
const hasCamera = 'mediaDevices' in navigator;
const ui = computed(() => said.value.words.ui);

const conversation = computed(() => state.value.conversation);
/** Whose standing is shown: whoever stands here, or whoever has just done something. */
const shown = computed(() => {
  if (conversation.value.step === 'person') return conversation.value.person.technician;
  const { said: what } = state.value;
  return what && 'technician' in what && conversation.value.step === 'idle' ? what.technician : undefined;
});
watch(
  () => (conversation.value.step === 'person' ? conversation.value.person.technician : undefined),
  (_now, before) => {
    aside.value = null;
    // Whoever was told that something of theirs was not taken knows it now.
    if (before) void station.forgetRefused(before);
  },
);
/** The one task that whoever stands here is on. */
const onlyTask = computed(() => {
  if (!shown.value || !directory.value) return undefined;
  const { targets = [] } = personStanding(directory.value, shown.value, now.value) ?? {};
  const [standing] = targets;
  return targets.length === 1 && standing?.kind === 'task' ? standing.task.id : undefined;
});
/** Whoever reads on is not cut off; their last touch counts. */
const stay = () => aside.value && dispatch({ type: 'stay' });
watch(aside, stay);
function chooseKind(kind: WorkType): void {
  aside.value = null;
  dispatch({ type: 'touch', action: kind });
}
/** What was just written down is known here as soon as the server is asked; then it is work like any other. */
async function startWritten(target: TargetId): Promise<void> {
  await station.refresh();
  aside.value = null;
  dispatch({ type: 'pick', target });
}
watch(
  () => conversation.value.step === 'idle',
  (isIdle) => isIdle && station.ownProof.forget(),
);
watch(
  () => settings.value.theme,
  (theme) => (document.documentElement.dataset['bsTheme'] = theme),
  { immediate: true },
);
/** What is keyed so far; a PIN is nobody's to read. */
const typed = computed(() => {
  const { value } = conversation;
  const isPin = value.step === 'asked' && value.question.kind === 'pin';
  return isPin ? '•'.repeat(typing.value.text.length) : typing.value.text;
});
const intended = computed(() => {
  const { value } = conversation;
  const target = value.step === 'intent' && value.intent.kind === 'work' ? value.intent.target : undefined;
  return target && directory.value ? standingOf(directory.value, target, now.value) : undefined;
});
const connectionWords = computed(() => {
  const count = waiting.value === 0 ? '' : ui.value.waiting(waiting.value);
  if (connection.value === 'offline') return `${ui.value.offline}${count}`;
  return connection.value === 'connected' ? `${ui.value.connected}${count}` : ui.value.connecting;
});
registerServiceWorker('station', () => conversation.value.step === 'idle' && state.value.said === null);
const clock = computed(() => (directory.value ? formatClock(directory.value.facts.zone, now.value) : ''));
</script>

<template>
  <PairView v-if="connection === 'unpaired' || isPairing" :pair="station.pair" @paired="isPairing = false" />
  <div v-else class="station" :class="{ 'with-bench': isBenchOpen }" :lang="settings.language">
    <header>
      <strong>{{ info?.station.name ?? 'Wergon' }}</strong>
      <span class="quiet kind">{{ settings.kind === 'presence' ? ui.presence : ui.labor }}</span>
      <span v-if="info?.isDemo" class="quiet kind">{{ ui.demoClock }}</span>
      <span class="fill"></span>
      <span v-if="!isWritable" class="warn" role="alert">{{ ui.diskFull }}</span>
      <span v-if="station.isUnsaved.value" class="warn" role="alert">{{ ui.unsaved }}</span>
      <span v-if="station.wasClockMoved.value" class="warn" role="alert">{{ ui.clockMoved }}</span>
      <span
        :class="connection === 'offline' ? 'warn' : waiting === 0 ? 'quiet fine' : 'quiet'"
        role="status"
        >{{ connectionWords }}</span
      >
      <PlainButton
        v-if="hasCamera && directory"
        class="bench-key"
        :aria-pressed="isCameraOpen"
        @click="isCameraOpen = !isCameraOpen"
      >
        {{ said.words.button.camera }}
      </PlainButton>
      <PlainButton v-if="info?.isDemo" class="bench-key" @click="isBenchOpen = !isBenchOpen">
        {{ ui.bench }}
      </PlainButton>
      <time class="figure">{{ clock }}</time>
    </header>
    <main @pointerdown="stay" @wheel.passive="stay" @keydown="stay">
      <h1 v-if="!directory" class="opening">
        {{ connection === 'offline' ? ui.noDirectory : ui.opening }}
      </h1>
      <QuestionView
        v-else-if="conversation.step === 'asked'"
        :asked="conversation"
        :directory="directory"
        :now="now"
        @choose="dispatch({ type: 'choose', option: $event })"
        @answer="dispatch({ type: 'answer', text: $event })"
      />
      <CrewView
        v-else-if="conversation.step === 'crew'"
        :crew="conversation"
        @tick="dispatch({ type: 'name', technician: $event })"
        @act="dispatch({ type: 'touch', action: $event })"
      />
      <OwnTimeView
        v-else-if="shown && aside === 'own-time'"
        :technician="shown"
        :has-pin="directory.people.get(shown)?.hasPin ?? false"
        :language="settings.language"
        :own-proof="station.ownProof"
        @back="aside = null"
        @correction="dispatch({ type: 'touch', action: 'correction' })"
      />
      <OwnPhoneView
        v-else-if="shown && aside === 'own-phone'"
        :technician="shown"
        :has-pin="directory.people.get(shown)?.hasPin ?? false"
        :own-proof="station.ownProof"
        @back="aside = null"
      />
      <WriteDownView
        v-else-if="shown && aside === 'write-down'"
        :technician="shown"
        :directory="directory"
        :settings="settings"
        @back="aside = null"
        @written="startWritten"
      />
      <KindsView v-else-if="shown && aside === 'work-type'" @back="aside = null" @choose="chooseKind" />
      <TaskPapersView
        v-else-if="onlyTask && aside === 'task-papers'"
        :directory="directory"
        :target="onlyTask"
        @back="aside = null"
      />
      <PersonView
        v-else-if="shown"
        :technician="shown"
        :directory="directory"
        :settings="settings"
        :now="now"
        :refused="refused"
        :is-here="conversation.step === 'person'"
        @act="dispatch({ type: 'touch', action: $event })"
        @pick="dispatch({ type: 'pick', target: $event })"
        @show="aside = $event"
      />
      <StandingView v-else-if="intended" :standing="intended" />
      <IdleView
        v-else
        :name="info?.station.name ?? ''"
        :directory="directory"
        :settings="settings"
        :notices="info?.notices ?? []"
        :now="now"
        @name="dispatch({ type: 'name', technician: $event })"
      />
    </main>
    <PromptBand
      v-if="directory"
      :state="state"
      :directory="directory"
      :settings="settings"
      :now-ms="station.nowMs.value"
      :typed="typed"
      @take-back="dispatch({ type: 'touch', action: 'take-back' })"
      @blank="dispatch({ type: 'touch', action: 'blank' })"
    />
    <BenchDrawer
      v-if="isBenchOpen && directory && info"
      :directory="directory"
      @close="isBenchOpen = false"
    />
    <CameraView
      v-if="isCameraOpen && directory"
      @hear="station.scan($event, 'camera')"
      @close="isCameraOpen = false"
    />
    <div v-if="!hasFocus" class="deaf" role="alert">{{ ui.deaf.headline }}<br />{{ ui.deaf.help }}</div>
  </div>
</template>

<style scoped lang="scss">
.station {
  display: grid;
  grid-template-rows: 58px 1fr auto;
  height: 100%;
  overflow: hidden;
  background: var(--paper);
  font-size: var(--text-2xl);
}

header {
  display: flex;
  align-items: center;
  gap: 24px;
  padding: 0 34px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}

/* The bench stands beside the station, where there is room for both. */
@media (min-width: 1000px) {
  .with-bench {
    grid-template-columns: minmax(0, 1fr) 400px;
  }
  .with-bench > .bench {
    position: static;
    grid-row: 1 / 4;
    grid-column: 2;
    width: auto;
  }
  .with-bench > :not(.bench, .deaf) {
    grid-column: 1;
  }
}

.fill {
  flex: 1;
}

time {
  font-size: var(--text-3xl);
}

.warn {
  color: var(--attention);
}

.bench-key {
  min-height: 48px;
  padding: 0 16px;
  background: none;
  border: 1px solid var(--line);
  color: inherit;
}

main {
  min-height: 0;
  overflow: hidden;
}

.opening {
  padding: 34px;
  font-size: var(--text-5xl);
}

.deaf {
  position: fixed;
  inset: 0;
  display: flex;
  align-items: center;
  padding: 34px;
  background: #fff;
  border: 16px solid #1c1a15;
  color: #1c1a15;
  font-size: var(--far-3xl);
  font-weight: 700;
  line-height: 1.15;
}

@media (max-width: 700px) {
  .station {
    font-size: var(--text-xl);
  }
  // What kind of station it is stands in large letters while nobody does.
  .kind,
  .fine {
    display: none;
  }
  .bench-key {
    padding: 0 8px;
  }
  header {
    flex-wrap: wrap;
    gap: 4px 10px;
    padding: 8px 16px;
  }
  .station {
    grid-template-rows: auto 1fr auto;
  }
}
</style>
