<script setup lang="ts">
import { computed } from 'vue';
import type { Board, Lane } from '@wergon/core/floor';
import type { Instant, LocalDay } from '@wergon/core/time';
import { sayClock } from '../desk/dates.ts';
import { countByQuarter } from './tapeScale.ts';
import type { TapeScale } from './tapeScale.ts';

const props = defineProps<{
  board: Board;
  lanes: readonly Lane[];
  day: LocalDay;
  scale: TapeScale;
  now: Instant | null;
}>();

const hours = computed(() => {
  const { fromHour, toHour } = props.scale;
  return Array.from({ length: toHour - fromHour + 1 }, (_, i) => fromHour + i);
});
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
    :aria-label="`Hours of the day, ${scale.fromHour} to ${scale.toHour}; people on work by quarter hour`"
  >
    <span v-for="(bar, i) in load" :key="i" class="load" :style="bar"></span>
    <template v-for="(hour, i) in hours" :key="hour">
      <span class="tick" :style="{ left: percent(scale.placeHour(hour)) }"></span>
      <span
        v-if="i > 0 && i < hours.length - 1"
        class="hour figure"
        :style="{ left: percent(scale.placeHour(hour)) }"
        >{{ hour }}</span
      >
      <template v-if="i < hours.length - 1">
        <span
          v-for="quarter in 3"
          :key="quarter"
          class="tick minor"
          :style="{ left: percent(scale.placeHour(hour + quarter / 4)) }"
        ></span>
      </template>
    </template>
    <template v-if="now !== null">
      <span class="now" :style="{ left: percent(scale.place(now)) }"></span>
      <span class="now-time figure" :style="{ left: percent(scale.place(now)) }">{{
        sayClock(board.facts.zone, now)
      }}</span>
    </template>
  </div>
</template>

<style scoped>
.day-ruler {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
.tick {
  position: absolute;
  top: 0;
  width: 1px;
  height: 12px;
  background: var(--ink);
}
.tick.minor {
  height: 6px;
  background: var(--ink-2);
}
.hour {
  position: absolute;
  top: 12px;
  font-size: 14px;
  font-weight: 600;
  transform: translateX(-50%);
}
.load {
  position: absolute;
  bottom: 0;
  background: var(--action-tint);
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--attention);
}
.now-time {
  position: absolute;
  top: 30px;
  padding: 1px 6px;
  background: var(--attention);
  color: var(--sheet);
  font-size: 14px;
  font-weight: 700;
  transform: translateX(-50%);
}
</style>
