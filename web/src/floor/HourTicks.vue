<script setup lang="ts">
import { computed } from 'vue';
import { sayClock } from '../kit/index.ts';
import type { Instant, Zone } from '@wergon/core/time';
import type { TapeScale } from './tapeScale.ts';

/** The hours of a day as ticks, and the line for now. */
const props = defineProps<{ scale: TapeScale; zone: Zone; now: Instant | null }>();
const hours = computed(() => {
  const { fromHour, toHour } = props.scale;
  return Array.from({ length: toHour - fromHour + 1 }, (_, i) => fromHour + i);
});
const percent = (share: number) => `${share * 100}%`;
</script>

<template>
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
      sayClock(zone, now)
    }}</span>
  </template>
</template>

<style scoped>
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
  font-size: var(--text-s);
  font-weight: 600;
  transform: translateX(-50%);
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
  font-size: var(--text-s);
  font-weight: 700;
  transform: translateX(-50%);
}
</style>
