<script setup lang="ts">
import { computed } from 'vue';
import type { OrderRow } from '@wergon/contract/compare';
import type { LocalDay } from '@wergon/core/time';
import Yardstick from './Yardstick.vue';
import { sayDate, useDesk } from '../kit/index.ts';
import CostFigure from './CostFigure.vue';
import HoursFigure from './HoursFigure.vue';
import SignedOutWords from './SignedOutWords.vue';
import { isLate } from '@wergon/core/work';
import { sayState } from '../work/index.ts';
import { sayBalance, sayPieces, yardstickWords } from './figures.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ row: OrderRow; today: LocalDay }>();
const desk = useDesk();
const balance = computed(() => sayBalance(props.row.comparison, props.row.hasEstimate, desk.hoursStyle));
const late = computed(() => isLate(props.row, props.today));
const people = computed(() => {
  const count = props.row.peopleOn.length;
  return count === 0 ? '' : ` · ${t('compare.onIt', { n: count })}`;
});
const pieces = computed(() =>
  props.row.pieces ? ` · ${sayPieces(props.row.pieces, props.row.quantity)}` : '',
);
</script>

<template>
  <RouterLink :to="{ name: 'order', params: { order: row.id } }" class="row-line">
    <span class="row-name">
      <span class="number mono">{{ row.number }}</span>
      <span
        >{{ row.title
        }}<small
          >{{ row.customer }}{{ row.state === 'released' ? '' : ` · ${sayState(row.state)}` }}{{ people
          }}{{ pieces }} <SignedOutWords :people="row.signedOut" /></small
      ></span>
    </span>
    <Yardstick
      :estimated-seconds="row.hasEstimate ? row.comparison.estimatedSeconds : null"
      :used="row.used"
      size="row"
      hides-notch
      :label="yardstickWords(row.comparison, row.hasEstimate, desk.hours)"
    />
    <span class="row-figures figure">
      <HoursFigure :balance="balance" />
      <CostFigure :comparison="row.comparison" :has-estimate="row.hasEstimate" />
      <span :class="{ attention: late }"
        >{{ sayDate(row.due) }}<small v-if="late">{{ t('compare.late') }}</small></span
      >
    </span>
  </RouterLink>
</template>

<style scoped>
.number {
  align-self: center;
}
</style>
