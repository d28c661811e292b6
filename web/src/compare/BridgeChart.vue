<script setup lang="ts">
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { usePreferredColorScheme, usePreferredReducedMotion } from '@vueuse/core';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import type { BridgeBar } from './whyWords.ts';

/** Bars that lead from one length to another; what they say stands in the table beside them for whoever hears it. */
const props = defineProps<{ bars: readonly BridgeBar[]; label: string }>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale);
const scheme = usePreferredColorScheme();
const motion = usePreferredReducedMotion();

const TILE = 8;
/** The textures of the yardstick, for the kinds of work; what an hour costs has quiet tones of its own. */
function inkOf(id: BridgeBar['id'], theme: (name: string) => string): string | CanvasPattern {
  if (id === 'mix' || id === 'rate') return theme('--ink-2');
  if (id === 'changed' || id === 'uncosted') return theme('--bar-open');
  return id === 'setup' || id === 'rework' ? texture(id, theme) : theme('--bar');
}
function texture(id: 'setup' | 'rework', theme: (name: string) => string): string | CanvasPattern {
  const tile = document.createElement('canvas');
  tile.width = tile.height = TILE;
  const pen = tile.getContext('2d');
  if (!pen) return theme('--bar');
  pen.fillStyle = theme('--sheet');
  pen.fillRect(0, 0, TILE, TILE);
  pen.fillStyle = pen.strokeStyle = theme('--bar');
  pen.lineWidth = 3;
  if (id === 'setup')
    for (const shift of [-TILE, 0, TILE]) {
      pen.beginPath();
      pen.moveTo(shift - 1, TILE + 1);
      pen.lineTo(shift + TILE + 1, -1);
      pen.stroke();
    }
  else {
    pen.beginPath();
    pen.arc(TILE / 2, TILE / 2, 2, 0, 2 * Math.PI);
    pen.fill();
  }
  return pen.createPattern(tile, 'repeat') ?? theme('--bar');
}

const themeNow = () => {
  // Read anew whenever the scheme changes.
  void scheme.value;
  const style = getComputedStyle(document.documentElement);
  return (name: string) => style.getPropertyValue(name).trim();
};
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
  const font = { family: theme('--text'), size: 14 };
  return {
    maintainAspectRatio: false,
    ...(motion.value === 'reduce' ? { animation: false } : { animation: { duration: 200 } }),
    layout: { padding: { top: 26 } },
    events: [],
    scales: {
      x: {
        grid: { display: false },
        border: { color: theme('--ink') },
        ticks: { color: theme('--ink'), font },
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
    <Bar :data="data" :options="options" :plugins="[lines]" :aria-label="label" />
  </div>
</template>

<style scoped>
.bridge {
  height: 300px;
  padding: 4px 16px 8px;
  background: var(--sheet);
}
</style>
