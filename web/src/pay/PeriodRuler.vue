<script setup lang="ts">
import type { LocalDay } from '@wergon/core/time';
import { sayMonthDay } from '../kit/index.ts';
import { PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import type { ListedPeriod } from './usePayPeriods.ts';

/** The last pay periods in a row, with what has become of each. */
defineProps<{ periods: readonly ListedPeriod[] }>();
const firstDay = defineModel<LocalDay | null>({ required: true });
const SHOWN = 8;
const STATES = {
  running: t('pay.running'),
  over: t('pay.endedNotClosed'),
  closed: t('timesheet.closed'),
} as const;
</script>

<template>
  <ol class="periods" :aria-label="t('common.payPeriods')">
    <li v-for="each in [...periods].reverse().slice(-SHOWN)" :key="each.firstDay">
      <PlainButton
        :class="[each.state, { here: each.firstDay === firstDay }]"
        :aria-pressed="each.firstDay === firstDay"
        @click="firstDay = each.firstDay"
      >
        {{ sayMonthDay(each.firstDay) }}<small>{{ each.isSent ? t('pay.sent') : STATES[each.state] }}</small>
      </PlainButton>
    </li>
  </ol>
</template>

<style scoped lang="scss">
.periods {
  display: flex;
  height: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    flex: 1;
    min-width: 0;
    border-left: 1px solid var(--line);
  }
  button {
    width: 100%;
    height: 100%;
    padding: 4px 6px;
    background: none;
    border: 0;
    color: inherit;
    font-size: var(--text-s);
    text-align: left;
    &.here {
      background: var(--action-tint);
      font-weight: 700;
    }
    &.closed {
      background-image: linear-gradient(to top, var(--bar) 5px, transparent 5px);
    }
    &.over {
      background-image: linear-gradient(to top, var(--attention) 5px, transparent 5px);
    }
  }
  small {
    display: block;
    color: var(--ink-2);
    font-size: var(--text-xs);
    font-weight: 400;
  }
}
</style>
