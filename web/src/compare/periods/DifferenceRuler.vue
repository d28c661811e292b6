<script setup lang="ts">
import { computed } from 'vue';
import type { ComparedJob } from '@wergon/contract/compare';
import { addDays, mondayOf, monthOf, weekOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { sayMonth, useDesk } from '../../kit/index.ts';
import { t } from '../../words/index.ts';
import { sayMoneyMore } from '../whyWords.ts';

/** The difference of the jobs that were finished, by week, or by month where the period is long. */
const props = defineProps<{ jobs: readonly ComparedJob[]; firstDay: LocalDay; lastDay: LocalDay }>();
const desk = useDesk();
/** More weeks than this are told by month. */
const MOST_WEEKS = 27;
const isMonthly = computed(() => props.lastDay - props.firstDay > MOST_WEEKS * 7);
const startOf = (day: LocalDay) => (isMonthly.value ? monthOf(day) : mondayOf(day));
const bars = computed(() => {
  const sums = new Map<number, number>();
  const starts: LocalDay[] = [];
  for (
    let day = startOf(props.firstDay);
    day <= props.lastDay;
    day = startOf(addDays(day, isMonthly.value ? 31 : 7))
  )
    starts.push(day);
  for (const { finishedDay, current } of props.jobs) {
    if (finishedDay === null) continue;
    const at = startOf(finishedDay);
    sums.set(at, (sums.get(at) ?? 0) + current.difference);
  }
  const most = Math.max(1, ...[...sums.values()].map(Math.abs));
  return starts.map((start, i) => {
    const cents = sums.get(start) ?? 0;
    return {
      start,
      left: `${(i / starts.length) * 100}%`,
      width: `${100 / starts.length}%`,
      height: `${(Math.abs(cents) / most) * 40}px`,
      isOver: cents > 0,
      word: isMonthly.value ? sayMonth(start).slice(0, 3) : String(weekOf(start)),
      title: `${isMonthly.value ? sayMonth(start) : t('compare.week', { week: weekOf(start) })}: ${sayMoneyMore(cents, desk)}`,
    };
  });
});
</script>

<template>
  <div class="ruler-bars" role="img" :aria-label="t('compare.differenceByWeek')">
    <span
      v-for="bar in bars"
      :key="bar.start"
      class="slot"
      :style="{ left: bar.left, width: bar.width }"
      :title="bar.title"
    >
      <i :class="{ over: bar.isOver }" :style="{ height: bar.height }"></i>
      <span class="figure">{{ bar.word }}</span>
    </span>
  </div>
</template>

<style scoped>
.ruler-bars {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
.slot {
  position: absolute;
  top: 0;
  bottom: 0;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
}
i {
  width: 62%;
  background: var(--bar);
}
i.over {
  background: var(--attention-fill);
  outline: 1px solid var(--attention);
  outline-offset: -1px;
}
.slot > .figure {
  font-size: var(--text-xs);
  line-height: 18px;
}
</style>
