<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import type { RouteLocationRaw } from 'vue-router';
import { piecesPerRunHour } from '@wergon/core/compare';
import type { CutRow } from '@wergon/contract/compare';
import { formatCents } from '@wergon/core/money';
import { useDesk } from '../../kit/index.ts';
import { PlainButton } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { sayCount, sayNumber } from '../figures.ts';
import { sayHoursMore, sayMoneyMore, sayShare, sayWhy } from '../whyWords.ts';

/** One group of a cut. A component of its own, so that of a thousand lines only the one that is opened is drawn anew. */
const props = defineProps<{
  row: CutRow;
  name: string;
  level: number;
  /** Whether it opens into the next level, and has been opened. */
  opens: boolean;
  isOpen: boolean;
  /** Where the last level leads. */
  link: RouteLocationRaw | undefined;
  longest: number;
  hasTasks: boolean;
}>();
const emit = defineEmits<{ toggle: []; only: [] }>();
const desk = useDesk();
/** Pieces of whole tasks, and how many of them to an hour of run time. */
const pieces = computed(() => {
  const { tasks } = props.row;
  if (!tasks?.pieces) return '';
  const rate = piecesPerRunHour(tasks.pieces, tasks.runSeconds);
  const counted = sayCount(tasks.pieces);
  return rate === null ? counted : `${counted}, ${t('compare.anHour', { rate: sayNumber(rate) })}`;
});
</script>

<template>
  <div class="cut-line" :class="`level-${level}`">
    <span class="name">
      <PlainButton v-if="opens" class="opens" :aria-expanded="isOpen" @click="emit('toggle')"
        ><span aria-hidden="true">{{ isOpen ? '▾' : '▸' }}</span> {{ name }}</PlainButton
      >
      <RouterLink v-else-if="link" :to="link">{{ name }}</RouterLink>
      <template v-else>{{ name }}</template>
      <BButton
        variant="quiet"
        size="sm"
        class="only"
        :aria-label="t('compare.onlyThis', { name })"
        @click="emit('only')"
        >{{ t('compare.only') }}</BButton
      >
      <small v-if="pieces">{{ pieces }}</small>
    </span>
    <span class="track" aria-hidden="true"
      ><i :style="{ width: `${longest === 0 ? 0 : (row.seconds / longest) * 100}%` }"></i
    ></span>
    <span class="figure">{{ desk.hours(row.seconds) }}</span>
    <span class="figure quiet">{{ sayShare(row.measuredSeconds, row.seconds) }}</span>
    <template v-if="hasTasks">
      <span class="figure">{{ row.tasks ? desk.hours(row.tasks.estimatedSeconds) : '' }}</span>
      <span
        class="figure"
        :class="{ attention: (row.tasks?.difference.differenceSeconds ?? 0) > 0 }"
        :title="row.tasks ? sayWhy(row.tasks.difference.causes, desk) : ''"
        >{{ row.tasks ? sayHoursMore(row.tasks.difference.differenceSeconds, desk) : ''
        }}<small v-if="row.tasks">{{ sayMoneyMore(row.tasks.difference.difference, desk) }}</small></span
      >
    </template>
    <span class="figure"
      >{{ desk.money(formatCents(row.cost))
      }}<small v-if="row.uncostedPieces > 0" class="attention">{{
        t('compare.linesLackARate', { n: row.uncostedPieces })
      }}</small></span
    >
  </div>
</template>
