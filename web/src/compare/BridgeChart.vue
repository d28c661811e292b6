<script setup lang="ts">
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { usePreferredReducedMotion } from '@vueuse/core';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import { inkOf, useTheme } from './chartInk.ts';
import { PlainButton } from '../kit/parts/index.ts';
import type { BridgeBar } from './whyWords.ts';

/** Bars that lead from one length to another; below each its name, by which it is chosen. What they say stands in the table
 *  beside them for whoever hears it. */
const props = defineProps<{
  bars: readonly BridgeBar[];
  label: string;
  /** The bar that is looked at. */
  chosen: BridgeBar['id'] | null;
}>();
const emit = defineEmits<{ choose: [id: BridgeBar['id']] }>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale);
const themeNow = useTheme();
const motion = usePreferredReducedMotion();

const data = computed((): ChartData<'bar', [number, number][]> => {
  const theme = themeNow();
  return {
    labels: props.bars.map(({ name }) => name),
    datasets: [
      {
        data: props.bars.map(({ from, to }): [number, number] => [from, to]),
        backgroundColor: props.bars.map(({ id }) => inkOf(id, theme)),
        borderColor: theme('--ink'),
        borderWidth: 1,
        borderSkipped: false,
        maxBarThickness: 72,
      },
    ],
  };
});
const options = computed((): ChartOptions<'bar'> => {
  const theme = themeNow();
  return {
    maintainAspectRatio: false,
    ...(motion.value === 'reduce' ? { animation: false } : { animation: { duration: 200 } }),
    layout: { padding: { top: 26 } },
    events: [],
    scales: {
      x: {
        grid: { display: false },
        border: { color: theme('--ink') },
        ticks: { display: false },
      },
      // A length is read from nothing on.
      y: { beginAtZero: true, display: false },
    },
  };
});

/** Values at the bars, and what leads from one to the next. */
const lines: Plugin<'bar'> = {
  id: 'bridge',
  afterDatasetsDraw: (chart) => {
    const { ctx } = chart;
    const theme = themeNow();
    const y = chart.scales['y'];
    if (!y) return;
    ctx.save();
    ctx.textAlign = 'center';
    ctx.strokeStyle = theme('--ink-2');
    ctx.setLineDash([2, 3]);
    props.bars.forEach(({ id, from, to, said }, i) => {
      const meta = chart.getDatasetMeta(0).data;
      const [bar, next] = [meta[i], meta[i + 1]];
      if (!bar) return;
      const isWhole = id === 'estimated' || id === 'actual';
      ctx.font = `${isWhole ? 700 : 400} 15px ${theme('--mono')}`;
      ctx.fillStyle = theme(!isWhole && to > from ? '--attention' : '--ink');
      ctx.fillText(said, bar.x, y.getPixelForValue(Math.max(from, to)) - 9);
      if (!next) return;
      const half = (bar.getProps(['width'], true)['width'] as number) / 2;
      ctx.beginPath();
      ctx.moveTo(bar.x + half, y.getPixelForValue(to));
      ctx.lineTo(next.x - half, y.getPixelForValue(to));
      ctx.stroke();
    });
    ctx.restore();
  },
};
</script>

<template>
  <div class="bridge">
    <div class="bars">
      <Bar :data="data" :options="options" :plugins="[lines]" :aria-label="label" />
    </div>
    <div class="names" role="group" :aria-label="label">
      <PlainButton
        v-for="{ id, name } in bars"
        :key="id"
        :aria-pressed="id === chosen"
        @click="emit('choose', id)"
        >{{ name }}</PlainButton
      >
    </div>
  </div>
</template>

<style scoped>
.bridge {
  padding: 4px 16px 8px;
  background: var(--sheet);
}
.bars {
  height: 270px;
}
/* The chart has no axis beside its bars, so that columns of one width lie below them. */
.names {
  display: grid;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
}
.names > * {
  min-height: 32px;
  padding: 4px 2px;
  background: none;
  border: 0;
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.names > [aria-pressed='true'] {
  background: var(--action-tint);
  font-weight: 700;
}
</style>
