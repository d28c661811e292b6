<script setup lang="ts">
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions } from 'chart.js';
import { usePreferredReducedMotion } from '@vueuse/core';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import { useTheme } from '../chartInk.ts';
import type { StackedPart } from './stackedParts.ts';

/** Lengths upon each other over days, weeks or months; what is below nothing lies below the line. The same figures stand in a
 *  table beside it. */
const props = defineProps<{
  names: readonly string[];
  parts: readonly StackedPart[];
  say: (length: number) => string;
  /** The same as it stands on the scale. */
  sayScale: (length: number) => string;
  /** How far the steps of the scale are apart, where that is not left to it. */
  step?: number;
  label: string;
}>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);
const motion = usePreferredReducedMotion();
const themeNow = useTheme();
const MOST_STEPS = 5;

const data = computed((): ChartData<'bar', number[]> => {
  const theme = themeNow();
  return {
    labels: [...props.names],
    datasets: props.parts.map(({ name, lengths, ink, isOutlined }) => ({
      label: name,
      data: [...lengths],
      backgroundColor: ink(theme),
      borderColor: theme('--ink'),
      borderWidth: isOutlined ? 1 : 0,
      borderSkipped: false as const,
      maxBarThickness: 46,
    })),
  };
});
const options = computed((): ChartOptions<'bar'> => {
  const theme = themeNow();
  const font = { family: theme('--text'), size: 13 };
  return {
    maintainAspectRatio: false,
    ...(motion.value === 'reduce' ? { animation: false } : { animation: { duration: 200 } }),
    plugins: {
      tooltip: {
        callbacks: { label: ({ dataset, raw }) => `${dataset.label ?? ''} ${props.say(Number(raw))}` },
      },
    },
    scales: {
      x: {
        stacked: true,
        grid: { display: false },
        border: { color: theme('--ink') },
        ticks: { color: theme('--ink'), font },
      },
      y: {
        stacked: true,
        beginAtZero: true,
        grid: { color: (line) => theme(line.tick.value === 0 ? '--ink' : '--line') },
        border: { display: false },
        ticks: {
          color: theme('--ink-2'),
          font,
          ...(props.step === undefined ? { maxTicksLimit: MOST_STEPS } : { stepSize: props.step }),
          callback: (value) => props.sayScale(Number(value)),
        },
      },
    },
  };
});
</script>

<template>
  <div class="bars"><Bar :data="data" :options="options" :aria-label="label" /></div>
</template>

<style scoped>
.bars {
  height: 220px;
  padding: 10px 16px 6px;
  background: var(--sheet);
}
</style>
