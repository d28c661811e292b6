<script setup lang="ts">
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions } from 'chart.js';
import { usePreferredReducedMotion } from '@vueuse/core';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import { t } from '../../words/index.ts';
import { useTheme } from '../chartInk.ts';
import { hourStep } from './useBars.ts';
import type { UseBar } from './useBars.ts';

/** How long machines were used, were down and stood idle, day by day or week by week. The table beside it has the sums. */
const props = defineProps<{ bars: readonly UseBar[]; say: (seconds: number) => string; label: string }>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);
const motion = usePreferredReducedMotion();
const themeNow = useTheme();
const PARTS = ['used', 'down', 'idle'] as const;
const INKS = { used: '--bar', down: '--attention-fill', idle: '--bar-open' } as const;
const data = computed((): ChartData<'bar', number[]> => {
  const theme = themeNow();
  return {
    labels: props.bars.map(({ name }) => name),
    datasets: PARTS.map((part) => ({
      label: t(`machineParts.${part}`),
      data: props.bars.map((bar) => bar[part]),
      backgroundColor: theme(INKS[part]),
      borderColor: theme('--ink'),
      borderWidth: part === 'idle' ? 0 : 1,
      borderSkipped: false as const,
      maxBarThickness: 40,
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
        grid: { color: theme('--line') },
        border: { display: false },
        ticks: {
          color: theme('--ink-2'),
          font,
          stepSize: hourStep(Math.max(...props.bars.map((bar) => bar.used + bar.down + bar.idle), 0)),
          callback: (value) => props.say(Number(value)),
        },
      },
    },
  };
});
</script>

<template>
  <div class="use"><Bar :data="data" :options="options" :aria-label="label" /></div>
</template>

<style scoped>
.use {
  height: 190px;
  padding: 10px 16px 6px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
</style>
