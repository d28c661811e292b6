<script setup lang="ts">
import { usePreferredReducedMotion, useWindowSize } from '@vueuse/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { computed, useTemplateRef } from 'vue';
import { Bar } from 'vue-chartjs';
import { useTheme } from '../../compare/index.ts';

/** A few bars that are read from across the hall: each with its figure, from a line that says what they are held against. */
const props = defineProps<{
  bars: readonly { readonly name: string; readonly length: number | null; readonly words: string }[];
  /** Where the line lies: nothing, or what was to be. */
  line: number;
  label: string;
}>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const place = useTemplateRef('place');
const themeNow = useTheme(place);
const motion = usePreferredReducedMotion();
const { height } = useWindowSize();
const LEAST_TYPE = 14;
/** The type of the wall's notes. */
const size = computed(() => Math.max(LEAST_TYPE, Math.round(height.value * 0.028)));

const data = computed((): ChartData<'bar', (number | null)[]> => ({
  labels: props.bars.map(({ name }) => name),
  datasets: [
    {
      data: props.bars.map(({ length }) => (length === null ? null : length - props.line)),
      backgroundColor: themeNow()('--bar'),
      maxBarThickness: size.value * 5,
    },
  ],
}));
/** The figures at the ends of the bars. */
const figures: Plugin<'bar'> = {
  id: 'figures',
  afterDatasetsDraw: ({ ctx, getDatasetMeta }) => {
    ctx.font = `700 ${size.value}px ${themeNow()('--mono')}`;
    ctx.fillStyle = themeNow()('--ink');
    ctx.textAlign = 'center';
    getDatasetMeta(0).data.forEach((bar, i) => {
      const { length, words } = props.bars[i] ?? { length: null, words: '' };
      if (length === null) return;
      const isBelow = length < props.line;
      ctx.textBaseline = isBelow ? 'top' : 'bottom';
      ctx.fillText(words, bar.x, bar.y + (isBelow ? 1 : -1) * size.value * 0.3);
    });
  },
};
const options = computed((): ChartOptions<'bar'> => {
  const theme = themeNow();
  return {
    maintainAspectRatio: false,
    animation: motion.value === 'reduce' ? false : { duration: 200 },
    events: [],
    scales: {
      x: {
        grid: { display: false },
        border: { display: false },
        ticks: { color: theme('--ink-2'), font: { family: theme('--text'), size: size.value } },
      },
      y: {
        // Room for the figures beyond the bars.
        grace: '30%',
        grid: {
          color: ({ tick }) => (tick.value === 0 ? theme('--ink') : 'transparent'),
          lineWidth: 2,
        },
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
