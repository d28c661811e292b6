<script setup lang="ts">
import { computed } from 'vue';
import type { Board, Lane } from '@wergon/core/floor';
import type { Instant, LocalDay } from '@wergon/core/time';
import HourTicks from './HourTicks.vue';
import { countByQuarter } from './tapeScale.ts';
import type { TapeScale } from './tapeScale.ts';
import { t } from '../words/index.ts';

const props = defineProps<{
  board: Board;
  lanes: readonly Lane[];
  day: LocalDay;
  scale: TapeScale;
  now: Instant | null;
}>();

const percent = (share: number) => `${share * 100}%`;
const load = computed(() => {
  const counts = countByQuarter(props.lanes, props.scale, props.board.facts.zone.startOf(props.day));
  const most = Math.max(1, ...counts);
  return counts.map((count, i) => ({
    left: percent(i / counts.length),
    width: percent(1 / counts.length),
    height: percent((count / most) * 0.62),
  }));
});
</script>

<template>
  <div
    class="day-ruler"
    role="img"
    :aria-label="t('floor.hoursOfTheDayToPeopleOnWork', { fromHour: scale.fromHour, toHour: scale.toHour })"
  >
    <span v-for="(bar, i) in load" :key="i" class="load" :style="bar"></span>
    <HourTicks :scale="scale" :zone="board.facts.zone" :now="now" />
  </div>
</template>

<style scoped>
.day-ruler {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
.load {
  position: absolute;
  bottom: 0;
  background: var(--action-tint);
}
</style>
