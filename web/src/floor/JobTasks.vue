<script setup lang="ts">
import { isPastEstimate } from '@wergon/core/compare';
import type { Job, JobTask } from '@wergon/core/floor';
import { toSeconds } from '@wergon/core/time';
import { Yardstick } from '../compare/index.ts';
import type { FloorMore } from './floorMore.ts';
import { useDesk } from '../kit/index.ts';
import { sayList, t } from '../words/index.ts';

/** One job with all its tasks in their order: what each has used of its estimate, and who is on it. */
defineProps<{ job: Job; isFar?: boolean; more: FloorMore }>();
const desk = useDesk();

function sayLeft({ comparison, task }: JobTask): string {
  const { leftSeconds, overSeconds, usedSeconds } = comparison;
  if (overSeconds !== null && isPastEstimate(overSeconds))
    return t('floor.over', { hours: desk.hours(overSeconds) });
  if (task.isFinished) return t('floor.done');
  if (leftSeconds === null) return desk.hours(usedSeconds);
  return t('floor.left', { left: desk.left(leftSeconds) });
}
const label = ({ comparison: { usedSeconds, estimatedSeconds } }: JobTask) =>
  t('floor.usedOf', {
    hours: desk.hours(usedSeconds),
    estimate: estimatedSeconds === null ? t('common.noEstimate') : desk.hours(estimatedSeconds),
  });
/** Whether all of it together is past its estimate. */
const isPast = ({ usedSeconds, estimatedSeconds }: Job) =>
  estimatedSeconds !== null && isPastEstimate(toSeconds(usedSeconds - estimatedSeconds));
const isOver = ({ overSeconds }: { readonly overSeconds: number | null }) => isPastEstimate(overSeconds);
</script>

<template>
  <div class="job" :class="{ far: isFar }">
    <p class="head">
      <b class="figure">{{ job.order.number }}</b> {{ job.order.title
      }}<span class="quiet"
        >{{ job.order.customer
        }}<template v-if="job.order.state === 'on-hold'">, {{ t('orderStates.on-hold') }}</template></span
      >
      <span class="figure sums" :class="{ attention: isPast(job) }">{{
        job.estimatedSeconds === null
          ? desk.hours(job.usedSeconds)
          : t('floor.usedOf', {
              hours: desk.hours(job.usedSeconds),
              estimate: desk.hours(job.estimatedSeconds),
            })
      }}</span>
    </p>
    <ol>
      <li v-for="each in job.tasks" :key="each.task.id" :class="{ done: each.task.isFinished }">
        <span class="title">{{ each.task.title }}</span>
        <Yardstick
          :estimated-seconds="each.comparison.estimatedSeconds"
          :used="each.used"
          size="small"
          :label="label(each)"
        />
        <span class="figure left" :class="{ attention: isOver(each.comparison) || each.comparison.isLow }">{{
          sayLeft(each)
        }}</span>
        <span v-if="more.pieces(each.task)" class="on figure">{{ more.pieces(each.task) }}</span>
        <span v-if="each.on.length > 0" class="on">{{ sayList(each.on) }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped lang="scss">
.job {
  padding: 8px 16px 10px;
  border-bottom: 1px solid var(--line);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
  margin: 0 0 6px;
  font-weight: 600;
}
.head .quiet {
  font-weight: 400;
}
.sums {
  margin-left: auto;
}
ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  min-width: 0;
  font-size: var(--text-s);
}
.title,
.on {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.done .title,
.on {
  color: var(--ink-2);
}
.left {
  font-size: var(--text-xs);
}
.on {
  font-size: var(--text-xs);
}
.far {
  padding: 1vh 0;
  border: 0;
  .head {
    font-size: var(--wall-line);
  }
  li,
  .left,
  .on {
    font-size: var(--wall-note);
  }
  ol {
    grid-template-columns: repeat(auto-fill, minmax(14vw, 1fr));
    gap: 0.6vh 1.4vw;
  }
}
</style>
