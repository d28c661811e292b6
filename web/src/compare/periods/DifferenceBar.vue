<script setup lang="ts">
import { computed } from 'vue';
import { drawDifference } from '@wergon/core/compare';
import type { CausedDifference, DifferenceScale, DifferenceUnit } from '@wergon/core/compare';

/** What something differs by, as a bar from a middle line, cut into its causes. The line runs through the whole list. */
const props = defineProps<{
  difference: CausedDifference;
  scale: DifferenceScale;
  unit: DifferenceUnit;
  /** What it says to somebody who cannot see it. */
  label: string;
}>();
const pieces = computed(() => drawDifference(props.difference, props.scale, props.unit));
const percent = (share: number) => `${share * 100}%`;
</script>

<template>
  <div class="difference" role="img" :aria-label="label">
    <i
      v-for="{ cause, from, to } in pieces"
      :key="cause"
      class="cause"
      :class="cause"
      :style="{ left: percent(from), width: percent(to - from) }"
    ></i>
  </div>
</template>

<style scoped>
.difference {
  position: relative;
  height: 16px;
  min-width: 0;
}
.cause {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 1px;
}
</style>
