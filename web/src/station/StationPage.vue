<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { personStanding, standingOf } from '@wergon/core/floor';
import { formatClock } from './formatClock.ts';
import IdleView from './IdleView.vue';
import PairView from './PairView.vue';
import PersonView from './PersonView.vue';
import PromptBand from './PromptBand.vue';
import StandingView from './StandingView.vue';
import { useScanner } from './useScanner.ts';
import { useStation } from './useStation.ts';

const BenchDrawer = defineAsyncComponent(() => import('./BenchDrawer.vue'));

const station = useStation();
const { state, directory, info, connection, now, waiting, refused } = station;
const { typing, hasFocus } = useScanner({
  hear: station.scan,
  learn: station.calibrate,
  profile: () => info.value?.scanner ?? null,
});
const isBenchOpen = ref(false);

/** Whose standing is shown: whoever stands here, or whoever has just done something. */
const person = computed(() => {
  const { conversation, said } = state.value;
  const id =
    conversation.step === 'person'
      ? conversation.technician
      : said && 'technician' in said && conversation.step === 'idle'
        ? said.technician
        : undefined;
  return id && directory.value ? personStanding(directory.value, id, now.value) : undefined;
});
const intended = computed(() => {
  const { conversation } = state.value;
  if (conversation.step !== 'intent' || conversation.intent.kind !== 'work' || !directory.value)
    return undefined;
  return standingOf(directory.value, conversation.intent.target, now.value);
});
const connectionWords = computed(() => {
  const count =
    waiting.value === 0 ? '' : `, ${waiting.value} ${waiting.value === 1 ? 'scan' : 'scans'} waiting`;
  if (connection.value === 'offline') return `no server: scans are kept here${count}`;
  return connection.value === 'connected' ? `connected${count}` : 'connecting…';
});
const clock = computed(() => (directory.value ? formatClock(directory.value.facts.zone, now.value) : ''));
</script>

<template>
  <PairView v-if="connection === 'unpaired' && !directory" :pair="station.pair" />
  <div v-else class="station">
    <header>
      <strong>{{ info?.station.name ?? 'Station' }}</strong>
      <span class="quiet">labor station</span>
      <span v-if="info?.isDemo" class="quiet">demo clock</span>
      <span class="fill"></span>
      <span v-if="refused > 0" class="warn">{{ refused }} refused, seen on the desk</span>
      <span v-if="station.storageFailed.value" class="warn" role="alert">
        this device cannot keep scans: tell the supervisor
      </span>
      <span :class="connection === 'offline' ? 'warn' : 'quiet'" role="status">{{ connectionWords }}</span>
      <button v-if="info?.isDemo" type="button" class="bench-key" @click="isBenchOpen = !isBenchOpen">
        Bench
      </button>
      <time class="figure">{{ clock }}</time>
    </header>
    <main>
      <h1 v-if="!directory" class="opening">
        {{ connection === 'offline' ? 'No server yet. This page goes on by itself.' : 'Opening…' }}
      </h1>
      <PersonView v-else-if="person" :person="person" :zone="directory.facts.zone" :now="now" />
      <StandingView v-else-if="intended" :standing="intended" />
      <IdleView v-else :name="info?.station.name ?? ''" />
    </main>
    <PromptBand
      v-if="directory"
      :state="state"
      :directory="directory"
      :now-ms="station.nowMs.value"
      :typed="typing.text"
      @take-back="station.touch('take-back')"
      @blank="station.touch('blank')"
    />
    <BenchDrawer
      v-if="isBenchOpen && directory && info"
      :directory="directory"
      :codes="info.codes"
      @close="isBenchOpen = false"
    />
    <div v-if="!hasFocus" class="deaf" role="alert">
      This window cannot hear scans.<br />Touch the screen to go on.
    </div>
  </div>
</template>

<style scoped lang="scss">
.station {
  display: grid;
  grid-template-rows: 58px 1fr auto;
  height: 100%;
  overflow: hidden;
  background: var(--paper);
  font-size: 20px;
}

header {
  display: flex;
  align-items: center;
  gap: 24px;
  padding: 0 34px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}

.fill {
  flex: 1;
}

time {
  font-size: 24px;
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
  font-size: 44px;
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
  font-size: clamp(32px, 6vw, 84px);
  font-weight: 700;
  line-height: 1.15;
}

@media (max-width: 700px) {
  .station {
    font-size: 18px;
  }
  header {
    flex-wrap: wrap;
    gap: 4px 16px;
    padding: 8px 16px;
  }
  .station {
    grid-template-rows: auto 1fr auto;
  }
}
</style>
