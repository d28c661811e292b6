<script setup lang="ts">
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions } from 'chart.js';
import { usePreferredReducedMotion } from '@vueuse/core';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import { CAUSES } from '@wergon/core/compare';
import type { Cause, CausedDifference, DifferenceUnit } from '@wergon/core/compare';
import { t } from '../../words/index.ts';
import { inkOf, useTheme } from '../chartInk.ts';

/** What the jobs of each month differ by, cause upon cause; what saves something lies below the line. The same figures stand
 *  in the table beside it. */
const props = defineProps<{
  months: readonly { readonly name: string; readonly difference: CausedDifference }[];
  unit: DifferenceUnit;
  /** Only this cause, where one was chosen. */
  cause: Cause | undefined;
  say: (length: number) => string;
  /** The same without what is smaller than one. */
  sayRound: (length: number) => string;
  label: string;
}>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);
const motion = usePreferredReducedMotion();
const themeNow = useTheme();

const lengthOf = ({ causes }: CausedDifference, cause: Cause) => {
  const own = causes.find((each) => each.cause === cause);
  return own ? (props.unit === 'money' ? own.cents : own.seconds) : 0;
};
const shown = computed(() =>
  CAUSES.filter(
    (cause) =>
      (props.cause === undefined || cause === props.cause) &&
      props.months.some(({ difference }) => lengthOf(difference, cause) !== 0),
  ),
);
const data = computed((): ChartData<'bar', number[]> => {
  const theme = themeNow();
  return {
    labels: props.months.map(({ name }) => name),
    datasets: shown.value.map((cause) => ({
      label: t(`causes.${cause}`),
      data: props.months.map(({ difference }) => lengthOf(difference, cause)),
      backgroundColor: inkOf(cause, theme),
      borderColor: theme('--ink'),
      borderWidth: 1,
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
        callbacks: {
          label: ({ dataset, raw }) => `${dataset.label ?? ''} ${props.say(Number(raw))}`,
        },
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
        grid: { color: (line) => theme(line.tick.value === 0 ? '--ink' : '--line') },
        border: { display: false },
        ticks: {
          color: theme('--ink-2'),
          font,
          maxTicksLimit: 5,
          callback: (value) => props.sayRound(Number(value)),
        },
      },
    },
  };
});
</script>

<template>
  <div class="trend"><Bar :data="data" :options="options" :aria-label="label" /></div>
</template>

<style scoped>
.trend {
  height: 248px;
  padding: 10px 16px 6px;
  background: var(--sheet);
}
</style>
