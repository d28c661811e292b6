<script setup lang="ts">
import { computed } from 'vue';
import { chargedOf, nearnessOf, standingOf } from '@wergon/core/floor';
import type { Board, Lane } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import type { FloorJson } from '@wergon/contract/floor';
import { Yardstick } from '../compare/index.ts';
import { sayClock, useDesk } from '../kit/index.ts';
import type { FloorMore } from './floorMore.ts';
import { sayNear, sayOut, sayOvertime } from './laneWords.ts';
import { t } from '../words/index.ts';

/** What the person of a lane is on now, beside their tape; of a day gone by, what it was charged with. */
const props = defineProps<{
  lane: Lane;
  board: Board;
  now: Instant;
  isToday: boolean;
  more: FloorMore;
  /** What was planned of this person that day. */
  person: FloorJson['people'][number] | undefined;
}>();
const pointed = defineModel<string | null>('pointed', { required: true });
const desk = useDesk();

const clock = (at: Instant) => sayClock(props.board.facts.zone, at);
const running = computed(() => {
  const { doing } = props.lane.technician.state;
  return doing.status === 'work' ? doing.running : [];
});
const current = computed(() => {
  const first = running.value[0];
  return first && standingOf(props.board, first.target, props.now);
});
/** What they are on is near its estimate, or past it. */
const near = computed(() =>
  props.isToday && current.value?.kind === 'task' && props.lane.presently === 'work'
    ? nearnessOf(props.board, current.value, props.now)
    : undefined,
);
const length = computed(() =>
  props.lane.since === undefined ? '' : desk.hours(Math.max(0, props.now - props.lane.since)),
);
const lastTorn = computed(() => props.lane.blocks.findLast((block) => block.kind === 'work' && block.isTorn));
const words = computed((): string => {
  const { presently } = props.lane;
  switch (presently) {
    case 'work':
    case 'indirect': {
      const standing = current.value;
      const more =
        running.value.length > 1 ? ` ${t('floor.atOnce', { more: running.value.length - 1 })}` : '';
      if (standing?.kind === 'task') return `${standing.order?.number ?? ''} ${standing.task.title}${more}`;
      return `${standing?.activity.title ?? ''}${more}`;
    }
    case 'break':
      return t('floor.onABreak');
    case 'nothing':
      return lastTorn.value
        ? t('floor.noScanSince', { time: clock(lastTorn.value.from) })
        : t('floor.noTaskSince', { time: clock(props.lane.since ?? props.now), length: length.value });
    case 'out':
      return sayOut(props.lane, props.person, props.now, clock);
  }
});
/** For whom, on what, at which machine and why, how many pieces, and what was written down beside the scans. */
const about = computed((): string => {
  const standing = current.value;
  const task = standing?.kind === 'task' && props.lane.presently === 'work' ? standing : undefined;
  const { enteredSeconds, technician } = props.lane;
  const isOn = props.isToday && running.value.length > 0;
  return [
    ...(isOn ? [props.more.doing(technician.id)] : []),
    ...(task?.order && props.isToday
      ? [props.more.pieces(task.task), task.order.customer, props.more.unit(task.order.id)]
      : []),
    enteredSeconds > 0 ? t('floor.writtenDown', { hours: desk.hours(enteredSeconds) }) : '',
  ]
    .filter((part) => part !== '')
    .join(' · ');
});
/** What they are on is overtime, or becomes it soon. */
const overtime = computed(() =>
  props.isToday && (props.lane.presently === 'work' || props.lane.presently === 'indirect')
    ? sayOvertime(props.more.stages(props.lane.technician.id), props.now, clock)
    : undefined,
);
const needsSomebody = computed(() => props.isToday && props.lane.presently === 'nothing');
const yardstickLabel = computed(() => {
  if (current.value?.kind !== 'task') return '';
  const { usedSeconds, estimatedSeconds } = current.value.comparison;
  return t('floor.usedOf', {
    hours: desk.hours(usedSeconds),
    estimate: estimatedSeconds === null ? t('common.noEstimate') : desk.hours(estimatedSeconds),
  });
});
</script>

<template>
  <div class="current">
    <template v-if="isToday">
      <RouterLink
        v-if="current?.kind === 'task' && current.order && lane.presently === 'work'"
        :to="{ name: 'order', params: { order: current.order.id } }"
        @mouseenter="pointed = current.order.id"
        @focus="pointed = current.order.id"
        >{{ words }}</RouterLink
      >
      <span v-else :class="{ attention: needsSomebody, quiet: lane.presently === 'out' }">{{ words }}</span>
      <span v-if="lane.signedOutAt !== undefined" class="attention signed-out">{{
        t('floor.signedOutAtStillRunning', { time: clock(lane.signedOutAt) })
      }}</span>
      <Yardstick
        v-if="current?.kind === 'task' && lane.presently === 'work'"
        :estimated-seconds="current.comparison.estimatedSeconds"
        :used="current.used"
        size="small"
        :label="yardstickLabel"
      />
    </template>
    <span v-else class="figure">{{ desk.hours(chargedOf(lane)) }}</span>
    <span v-if="near || overtime || about" class="about quiet" :title="about"
      ><b v-if="overtime" class="low" :class="{ attention: overtime.isReached }">{{ overtime.words }}</b
      >{{ overtime && (near || about) ? ' · ' : ''
      }}<b v-if="near" class="low" :class="{ attention: near.isPast }">{{ sayNear(near, clock) }}</b
      >{{ near && about ? ' · ' : '' }}{{ about }}</span
    >
  </div>
</template>

<style scoped lang="scss">
.current {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 84px;
  gap: 0 10px;
  align-content: center;
  align-items: center;
  padding: 0 14px;
  border-left: 1px solid var(--line);
  line-height: 18px;
  a,
  > span {
    overflow: hidden;
    color: var(--ink);
    text-decoration: none;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  a:hover {
    text-decoration: underline;
  }
  .attention {
    color: var(--attention);
  }
  > span {
    grid-column: 1 / -1;
  }
  .low:not(.attention) {
    color: var(--ink);
  }
  .quiet {
    color: var(--ink-2);
  }
  .about {
    font-size: var(--text-xs);
    line-height: 16px;
  }
}
@media (max-width: 900px) {
  .current {
    grid-row: 1;
    grid-column: 2;
    padding: 0 8px;
    border: 0;
  }
  .about {
    display: none;
  }
}
</style>
