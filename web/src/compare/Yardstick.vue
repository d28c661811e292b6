<script setup lang="ts">
import { computed } from 'vue';
import { drawYardstick } from '@wergon/core/compare';
import type { UsedByType } from '@wergon/core/ledger';
import { toSeconds } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import { t } from '../words/index.ts';

const props = defineProps<{
  /** `null` where nothing was estimated. */
  estimatedSeconds: number | null;
  used: UsedByType;
  size: 'large' | 'row' | 'small';
  /** What it says to somebody who cannot see it. */
  label: string;
  /** Whether the estimate's notch is drawn; a list draws one line through all its rows instead. */
  hidesNotch?: boolean;
}>();

const drawing = computed(() => {
  const entries = WORK_TYPES.flatMap((workType) => {
    const seconds = props.used[workType];
    return seconds ? [{ workType, seconds }] : [];
  });
  return drawYardstick(props.estimatedSeconds === null ? null : toSeconds(props.estimatedSeconds), entries);
});

const percent = (share: number) => `${share * 100}%`;
const factor = computed(() => {
  const { tornAt } = drawing.value;
  if (tornAt === null) return null;
  return Number.isFinite(tornAt) ? `${tornAt.toFixed(1)}×` : t('compare.allOver');
});
</script>

<template>
  <div class="yardstick" :class="size" role="img" :aria-label="label">
    <template v-if="drawing.hasScale">
      <span class="open" :style="{ width: percent(drawing.notch) }"></span>
      <span
        v-for="(stretch, i) in drawing.stretches"
        :key="`${stretch.fill}${stretch.from}`"
        class="stretch"
        :class="[stretch.fill, { over: stretch.isOver, torn: factor && i === drawing.stretches.length - 1 }]"
        :style="{ left: percent(stretch.from), width: percent(stretch.to - stretch.from) }"
      ></span>
      <span class="notch" :class="{ shared: hidesNotch }" :style="{ left: percent(drawing.notch) }"></span>
      <span v-if="factor" class="factor figure">{{ factor }}</span>
    </template>
    <span v-else class="none">{{ t('common.noEstimate') }}</span>
  </div>
</template>

<style scoped lang="scss">
.yardstick {
  --thickness: 15px;
  position: relative;
  height: var(--thickness);
  min-width: 0;
}

.large {
  --thickness: 58px;
}

.small {
  --thickness: 10px;
}

.open,
.stretch,
.notch {
  position: absolute;
  top: 0;
  bottom: 0;
}

.open {
  left: 0;
  background: var(--bar-open);
}

.stretch {
  --texture: var(--sheet);
  background-color: var(--bar);

  &.setup {
    background-image: repeating-linear-gradient(
      -45deg,
      transparent 0 3px,
      color-mix(in srgb, var(--texture) 62%, transparent) 3px 5px
    );
  }

  &.rework {
    background-image: radial-gradient(circle at 3px 3px, var(--texture) 1.3px, transparent 1.7px);
    background-size: 7px 7px;
  }

  &.over {
    background-color: var(--attention-fill);
    outline: 1px solid var(--attention);
    outline-offset: -1px;
  }
}

.large .stretch.setup {
  background-image: repeating-linear-gradient(
    -45deg,
    transparent 0 6px,
    color-mix(in srgb, var(--texture) 62%, transparent) 6px 10px
  );
}

.large .stretch.rework {
  background-image: radial-gradient(circle at 6px 6px, var(--texture) 2.6px, transparent 3.2px);
  background-size: 14px 14px;
}

.notch {
  top: -4px;
  bottom: -4px;
  width: 2px;
  margin-left: -1px;
  background: var(--ink);
}

/* One line through a whole list stands for it, where there is room for a column of yardsticks. */
.shared {
  display: none;
}

.large .notch {
  top: -32px;
  bottom: -22px;
  width: 4px;
  margin-left: -2px;
}

@media (max-width: 700px) {
  .shared {
    display: block;
  }
  /* On a phone words stand close below it. */
  .large .notch {
    bottom: -6px;
  }
}

.torn {
  clip-path: polygon(
    0 0,
    100% 0,
    calc(100% - 5px) 20%,
    100% 40%,
    calc(100% - 5px) 60%,
    100% 80%,
    calc(100% - 5px) 100%,
    0 100%
  );
}

.factor {
  position: absolute;
  right: 8px;
  top: 50%;
  padding: 0 4px;
  background: var(--sheet);
  color: var(--attention);
  font-size: var(--text-xs);
  font-weight: 700;
  line-height: 1.1;
  transform: translateY(-50%);
}

.small .factor {
  right: 6px;
}

.large .factor {
  font-size: var(--text-3xl);
}

.none {
  display: flex;
  align-items: center;
  height: 100%;
  color: var(--ink-2);
  font-size: var(--text-xs);
}

.large .none {
  font-size: var(--text-3xl);
}
</style>
