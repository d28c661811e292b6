<script setup lang="ts">
import { computed } from 'vue';
import type { TaskRow } from '@wergon/contract/compare';
import { weekOf, addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { t } from '../words/index.ts';

const props = defineProps<{ tasks: readonly TaskRow[]; firstDay: LocalDay; days: number; today: LocalDay }>();

const place = (day: number) => `${((day - props.firstDay) / props.days) * 100}%`;
const weeks = computed(() =>
  Array.from({ length: props.days / 7 }, (_, i) => {
    const day = addDays(props.firstDay, i * 7);
    return { left: place(day), week: weekOf(day) };
  }),
);
const bars = computed(() => {
  const sums = new Map<number, number>();
  for (const { lines } of props.tasks)
    for (const { day, seconds } of lines) sums.set(day, (sums.get(day) ?? 0) + seconds);
  const most = Math.max(1, ...sums.values());
  return [...sums]
    .filter(([day]) => day >= props.firstDay && day < props.firstDay + props.days)
    .map(([day, seconds]) => ({ left: place(day + 0.1), height: `${(seconds / most) * 40}px` }));
});
</script>

<template>
  <div class="labor-ruler" role="img" :aria-label="t('compare.hoursOfThisOrderByDay')">
    <template v-for="{ left, week } in weeks" :key="left">
      <span class="tick" :style="{ left }"></span>
      <span class="week figure" :style="{ left }">{{ t('compare.week', { week }) }}</span>
    </template>
    <span v-for="bar in bars" :key="bar.left" class="bar" :style="{ ...bar, width: `${80 / days}%` }"></span>
    <span class="now" :style="{ left: place(today + 0.5) }"></span>
  </div>
</template>

<style scoped>
.labor-ruler {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
.tick {
  position: absolute;
  top: 0;
  width: 1px;
  height: 14px;
  background: var(--ink);
}
.week {
  position: absolute;
  top: 3px;
  padding-left: 6px;
  font-size: var(--text-s);
  font-weight: 600;
}
.bar {
  position: absolute;
  bottom: 0;
  background: var(--bar);
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--attention);
}
</style>
