<script setup lang="ts">
import { useWindowSize } from '@vueuse/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { computed, useTemplateRef } from 'vue';
import { Bar } from 'vue-chartjs';
import { useTheme } from '../../compare/index.ts';

/** A few bars that are read from across the hall, each with its figure; a line says what they are held against. */
const props = defineProps<{
  bars: readonly { readonly name: string; readonly length: number | null; readonly words: string }[];
  /** What they are held against: nothing, or what was to be. */
  line: number;
  label: string;
}>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const place = useTemplateRef('place');
const themeNow = useTheme(place);
const { height } = useWindowSize();
const LEAST_TYPE = 14;
const LINE = 3;
/** The type of the wall's notes. */
const size = computed(() => Math.max(LEAST_TYPE, Math.round(height.value * 0.028)));

const data = computed((): ChartData<'bar', (number | null)[]> => ({
  labels: props.bars.map(({ name }) => name),
  datasets: [
    {
      data: props.bars.map(({ length }) => length),
      backgroundColor: themeNow()('--bar'),
      maxBarThickness: size.value * 5,
    },
  ],
}));
/** The figures at the ends of the bars, and the line. */
const figures: Plugin<'bar'> = {
  id: 'figures',
  afterDatasetsDraw: (chart) => {
    const { ctx, chartArea, scales } = chart;
    const theme = themeNow();
    ctx.font = `700 ${size.value}px ${theme('--mono')}`;
    ctx.strokeStyle = theme('--ink');
    ctx.textAlign = 'center';
    const foot = scales['y']?.getPixelForValue(0) ?? chartArea.bottom;
    chart.getDatasetMeta(0).data.forEach((bar, i) => {
      const { x, y } = bar;
      const { width } = bar.getProps(['width']);
      const { length = null, words = '' } = props.bars[i] ?? {};
      if (length === null) return;
      // Within a bar that has room for it, so that it never meets the line.
      const isWithin =
        Math.abs(foot - y) > size.value * 2 && ctx.measureText(words).width < Number(width) - size.value / 2;
      const isUpwards = length < 0 === isWithin;
      ctx.fillStyle = theme(isWithin ? '--paper' : '--ink');
      ctx.textBaseline = isUpwards ? 'bottom' : 'top';
      ctx.fillText(words, x, y + (isUpwards ? -1 : 1) * size.value * 0.3);
    });
    const at = scales['y']?.getPixelForValue(props.line);
    if (at === undefined) return;
    ctx.lineWidth = LINE;
    ctx.beginPath();
    ctx.moveTo(chartArea.left, at);
    ctx.lineTo(chartArea.right, at);
    ctx.stroke();
  },
};
const options = computed((): ChartOptions<'bar'> => {
  const theme = themeNow();
  return {
    maintainAspectRatio: false,
    // Nobody is there to see it grow.
    animation: false,
    events: [],
    scales: {
      x: {
        grid: { display: false },
        border: { display: false },
        ticks: { color: theme('--ink-2'), font: { family: theme('--text'), size: size.value } },
      },
      y: {
        beginAtZero: true,
        // Room for the figures beyond the bars.
        grace: '20%',
        suggestedMax: props.line,
        grid: { display: false },
        border: { display: false },
        ticks: { display: false },
      },
    },
  };
});
</script>

<template>
  <div ref="place" class="bars">
    <Bar :data="data" :options="options" :plugins="[figures]" :aria-label="label" />
  </div>
</template>

<style scoped>
.bars {
  position: relative;
  min-height: 0;
}
</style>
