<script setup lang="ts">
import { computed } from 'vue';
import type { OrderRow } from '@wergon/contract/compare';
import { weekOf, addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { t } from '../words/index.ts';

const props = defineProps<{
  orders: readonly OrderRow[];
  firstDay: LocalDay;
  weeks: number;
  today: LocalDay;
}>();

/** Squares that fit above each other; more are told by a figure. */
const STACK = 6;
const days = computed(() => props.weeks * 7);
const place = (day: number) => `${((day - props.firstDay) / days.value) * 100}%`;
const weeks = computed(() =>
  Array.from({ length: props.weeks }, (_, i) => ({
    left: place(props.firstDay + i * 7),
    week: weekOf(addDays(props.firstDay, i * 7)),
  })),
);
const stacks = computed(() => {
  const due = new Map<number, { open: number }>();
  for (const { due: day, state } of props.orders) {
    if (day === null || state === 'finished' || state === 'closed') continue;
    due.set(day, { open: (due.get(day)?.open ?? 0) + 1 });
  }
  return [...due]
    .filter(([day]) => day >= props.firstDay && day < props.firstDay + days.value)
    .map(([day, { open }]) => ({
      left: place(day),
      squares: Math.min(open, STACK),
      isLate: day < props.today,
    }));
});
</script>

<template>
  <div class="due-ruler" role="img" :aria-label="t('compare.openOrdersByTheDayTheyAreDue')">
    <template v-for="{ left, week } in weeks" :key="left">
      <span class="tick" :style="{ left }"></span>
      <span class="week figure" :style="{ left }">{{ week }}</span>
    </template>
    <span
      v-for="stack in stacks"
      :key="stack.left"
      class="stack"
      :class="{ late: stack.isLate }"
      :style="{ left: stack.left }"
    >
      <i v-for="square in stack.squares" :key="square"></i>
    </span>
    <span class="now" :style="{ left: place(today + 0.5) }"></span>
    <span class="caption">{{ t('compare.ordersDueByDay') }}</span>
  </div>
</template>

<style scoped>
.due-ruler {
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
  z-index: 1;
  top: 3px;
  margin-left: 2px;
  padding: 0 4px;
  background: var(--sheet);
  font-size: var(--text-s);
  font-weight: 600;
}
.stack {
  position: absolute;
  bottom: 18px;
  display: flex;
  flex-direction: column-reverse;
  gap: 2px;
  width: calc(100% / 49);
}
.stack i {
  width: 8px;
  height: 3px;
  background: var(--ink-2);
}
.stack.late i {
  background: var(--attention);
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--attention);
}
.caption {
  position: absolute;
  bottom: 1px;
  left: 6px;
  color: var(--ink-2);
  font-size: var(--text-xs);
  line-height: 1.1;
}
</style>
