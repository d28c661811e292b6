<script setup lang="ts">
import { computed } from 'vue';
import type { DifferenceSteps } from '@wergon/core/compare';
import { weekOf } from '@wergon/core/time';
import { sayMonth, useDesk } from '../../kit/index.ts';
import { t } from '../../words/index.ts';
import { sayMoneyMore } from '../whyWords.ts';

/** The difference of the jobs that were finished, by week, or by month where the period is long. */
const props = defineProps<DifferenceSteps>();
const desk = useDesk();
const bars = computed(() => {
  const { steps, isMonthly } = props;
  const most = Math.max(1, ...steps.map(({ cents }) => Math.abs(cents)));
  return steps.map(({ firstDay, cents }, i) => ({
    firstDay,
    left: `${(i / steps.length) * 100}%`,
    width: `${100 / steps.length}%`,
    height: `${(Math.abs(cents) / most) * 40}px`,
    isOver: cents > 0,
    word: isMonthly ? sayMonth(firstDay).slice(0, 3) : String(weekOf(firstDay)),
    title: `${isMonthly ? sayMonth(firstDay) : t('compare.week', { week: weekOf(firstDay) })}: ${sayMoneyMore(cents, desk)}`,
  }));
});
</script>

<template>
  <div class="ruler-bars" role="img" :aria-label="t('compare.differenceByWeek')">
    <span
      v-for="bar in bars"
      :key="bar.firstDay"
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
