<script setup lang="ts">
import { computed, ref, toRaw, watch } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { Yardstick } from '../../compare/index.ts';
import { sayClock, clockOffsetMs, isLive, useDesk } from '../../kit/index.ts';
import { isPastEstimate } from '@wergon/core/compare';
import type { TaskStanding } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import JobTasks from '../JobTasks.vue';
import { sayNear } from '../laneWords.ts';
import WallWeek from './WallWeek.vue';
import { useWall } from './useWall.ts';
import { isNarrowed } from './wallPages.ts';
import type { WallJob, WallPerson } from './wallPages.ts';
import { keepWall } from './wallStore.ts';
import { t } from '../../words/index.ts';

/** The floor on a big screen: no mouse, turns by itself, read from across the hall. */
const desk = useDesk();
const props = defineProps<{ kept: ResponseOf<'floor'> | undefined }>();
const { board, counts, now, page, pages, place, jobs, asked, query, more } = useWall(props.kept);
/** Since when nothing new arrives; what stands there was true then. */
const lostAt = ref<Instant | null>(props.kept?.asOf ?? null);
watch(isLive, (live) => (lostAt.value = live ? null : now.value));
watch(query.data, (floor) => {
  const session = toRaw(desk.session);
  if (floor && session) void keepWall({ session, floor, clockOffsetMs: clockOffsetMs.value });
});
const clock = (at: Instant) => (desk.zone ? sayClock(desk.zone, at) : '');
const over = computed(
  () => jobs.value.filter(({ task }) => isPastEstimate(task.comparison.overSeconds)).length,
);
function sayLeft({ comparison }: TaskStanding): string {
  const { leftSeconds, overSeconds } = comparison;
  if (leftSeconds === null || overSeconds === null) return t('common.noEstimate');
  return isPastEstimate(overSeconds)
    ? t('floor.over', { hours: desk.hours(overSeconds) })
    : t(comparison.isLow ? 'floor.leftLow' : 'floor.left', { left: desk.left(leftSeconds) });
}
const label = ({ comparison: { usedSeconds, estimatedSeconds } }: TaskStanding) =>
  t('floor.usedOf', {
    hours: desk.hours(usedSeconds),
    estimate: estimatedSeconds === null ? t('common.noEstimate') : desk.hours(estimatedSeconds),
  });
/** The machine, the reason and the pieces of what somebody is on. */
const sayMore = ({ id, task, presently }: WallPerson) =>
  presently === 'work' || presently === 'indirect'
    ? [more.value.doing(id), task ? more.value.pieces(task.task) : ''].filter(Boolean).join(' · ')
    : '';
/** Who is on a task, and since when it is near its estimate or past it, where the page is about that. */
const sayNames = ({ names, near }: WallJob) =>
  [near ? sayNear(near, clock) : '', names].filter(Boolean).join(' · ');
const footing = computed(() => {
  switch (page.value?.kind) {
    case 'jobs':
    case 'tasks':
      return t('floor.byJob');
    case 'near':
      return t('floor.byNear');
    case 'week':
      return t('floor.byWeek');
    default:
      return t('floor.byPerson');
  }
});
const isOver = ({ comparison }: TaskStanding) => isPastEstimate(comparison.overSeconds);
</script>

<template>
  <main class="wall" data-bs-theme="dark">
    <header>
      <b class="figure clock">{{ clock(now) }}</b>
      <p>
        <span
          ><b>{{ counts.work }}</b> {{ t('floor.onTasks') }}</span
        >
        <span
          ><b>{{ counts.indirect }}</b> {{ t('common.indirect') }}</span
        >
        <span
          ><b>{{ counts.break }}</b> {{ t('floor.onBreak') }}</span
        >
        <span :class="{ attention: counts.nothing > 0 }"
          ><b>{{ counts.nothing }}</b> {{ t('floor.noTask') }}</span
        >
        <span :class="{ attention: over > 0 }"
          ><b>{{ over }}</b> {{ t('floor.overWord') }}</span
        >
      </p>
    </header>
    <p v-if="lostAt !== null && query.data.value" class="lost" role="status">
      {{ t('floor.noConnectionSinceThisIsHowIt', { time: clock(lostAt) }) }}
    </p>
    <p v-if="!board" class="empty">
      {{ query.error.value ? t('common.theServerDoesNotAnswer') : t('common.opening') }}
    </p>
    <p v-else-if="!page" class="empty">
      {{
        isNarrowed(asked)
          ? t('floor.nobodyIsWorkingOn', { work: asked.division || asked.jobType })
          : t('floor.nobodyIsIn')
      }}
    </p>
    <ul v-else-if="page.kind === 'tasks'" class="tasks" :aria-label="t('floor.jobsAndTasks')">
      <li v-for="job in page.jobs" :key="job.order.id"><JobTasks :job="job" :more="more" is-far /></li>
    </ul>
    <ul v-else-if="page.kind === 'people'" :aria-label="t('common.people')">
      <li v-for="person in page.people" :key="person.id" :class="person.presently">
        <b>{{ person.name }}</b>
        <span class="words"
          >{{ person.words }} <small>{{ sayMore(person) }}</small></span
        >
        <Yardstick
          v-if="person.task"
          :estimated-seconds="person.task.comparison.estimatedSeconds"
          :used="person.task.used"
          size="large"
          :label="label(person.task)"
        />
        <span v-else></span>
        <span
          class="figure"
          :class="{ attention: person.task && isOver(person.task), low: person.task?.comparison.isLow }"
          >{{
            person.task
              ? sayLeft(person.task)
              : person.since === undefined
                ? ''
                : desk.hours(Math.max(0, now - person.since))
          }}</span
        >
      </li>
    </ul>
    <WallWeek v-else-if="page.kind === 'week'" class="week" />
    <p v-else-if="page.jobs.length === 0" class="empty">{{ t('floor.nothingNear') }}</p>
    <ul v-else class="jobs" :aria-label="t('floor.jobsTitle')">
      <li v-for="job in page.jobs" :key="job.id">
        <b class="figure">{{ job.number }}</b>
        <span class="words"
          >{{ job.words }} <small>{{ sayNames(job) }}</small></span
        >
        <Yardstick
          :estimated-seconds="job.task.comparison.estimatedSeconds"
          :used="job.task.used"
          size="large"
          :label="label(job.task)"
        />
        <span class="figure" :class="{ attention: isOver(job.task), low: job.task.comparison.isLow }">{{
          sayLeft(job.task)
        }}</span>
      </li>
    </ul>
    <footer>
      <span v-if="isNarrowed(asked)">{{
        [asked.division, asked.jobType].filter((part) => part).join(', ')
      }}</span>
      <span>{{ footing }}</span>
      <span v-if="pages.length > 1" class="figure">{{
        t('floor.pageOf', { page: (place % pages.length) + 1, n: pages.length })
      }}</span>
    </footer>
  </main>
</template>

<style scoped lang="scss">
.wall {
  display: grid;
  grid-template-rows: auto auto 1fr auto;
  height: 100%;
  padding: 2.4vh 2vw 1.4vh;
  background: var(--paper);
  color: var(--ink);
  font-size: var(--wall-title);
  overflow: hidden;
}
header {
  display: flex;
  gap: 3vw;
  align-items: baseline;
  border-bottom: 2px solid var(--ink);
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 2.4vw;
    margin: 0;
  }
}
.clock {
  font-size: var(--wall-figure);
}
.lost {
  margin: 0;
  padding: 0.4vh 1vw;
  background: var(--attention);
  color: var(--paper);
}
.attention {
  color: var(--attention);
  font-weight: 700;
}
.low {
  font-weight: 700;
}
ul,
.week {
  grid-row: 3;
  min-height: 0;
}
ul {
  display: flex;
  flex-direction: column;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  flex: 0 1 9.4vh;
  grid-template-columns: 24vw minmax(0, 1fr) 17vw 19vw;
  gap: 1.4vw;
  align-items: center;
  min-height: 0;
  border-bottom: 1px solid var(--line);
  > .figure:last-child {
    white-space: nowrap;
    text-align: right;
  }
}
.tasks > li {
  display: block;
  flex: 0 1 38vh;
  overflow: hidden;
}
// A number is short; what it is about and who is on it stand in two lines.
.jobs > li {
  flex-basis: 11vh;
  grid-template-columns: 11vw minmax(0, 1fr) 17vw 17vw;
  line-height: 1.15;
  small {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
  }
}
.words,
li > b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.nothing .words {
  color: var(--attention);
  font-weight: 700;
}
small {
  color: var(--ink-2);
  font-size: var(--wall-line);
}
.empty {
  grid-row: 3;
  padding: 6vh 0;
}
footer {
  grid-row: 4;
  display: flex;
  gap: 3vw;
  justify-content: flex-end;
  color: var(--ink-2);
  font-size: var(--wall-note);
}
</style>
