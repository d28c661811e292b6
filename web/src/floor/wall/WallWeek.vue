<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { shareOf } from '@wergon/core/compare';
import { isSaidLength, toSeconds, weekOf } from '@wergon/core/time';
import type { Seconds } from '@wergon/core/time';
import { sayShare } from '../../compare/index.ts';
import { callRoute, sayWeekday, useDesk } from '../../kit/index.ts';
import { t } from '../../words/index.ts';
import WallBars from './WallBars.vue';

/** How the shop holds its estimates: jobs finished this week by day, and the efficiency of this week and those before. */
const REFRESH_MS = 120_000;
const desk = useDesk();
const query = useQuery({
  queryKey: ['compared-week'],
  queryFn: () => callRoute('comparedWeek'),
  refetchInterval: REFRESH_MS,
});
const told = computed(() => query.data.value);

/** Less than a minute is said to be nothing. */
const sayDifference = (length: Seconds) => {
  if (!isSaidLength(Math.abs(length))) return desk.hours(toSeconds(0));
  return `${length < 0 ? '−' : '+'}${desk.hours(toSeconds(Math.abs(length)))}`;
};
const week = computed(() => {
  const days = told.value?.days ?? [];
  const length = toSeconds(days.reduce((sum, { differenceSeconds }) => sum + differenceSeconds, 0));
  const jobCount = days.reduce((sum, each) => sum + each.jobCount, 0);
  const hours = desk.hours(toSeconds(Math.abs(length)));
  const words = !isSaidLength(Math.abs(length))
    ? t('floor.weekEven')
    : t(length > 0 ? 'floor.weekOver' : 'floor.weekUnder', { hours });
  return {
    words: jobCount === 0 ? t('floor.noJobsFinished') : words,
    note: jobCount === 0 ? '' : t('floor.jobsFinished', { n: jobCount }),
    bars: days.map(({ day, jobCount: count, differenceSeconds }) => ({
      name: sayWeekday(day),
      length: count === 0 ? null : differenceSeconds,
      words: sayDifference(differenceSeconds),
    })),
  };
});
const efficiency = computed(() => {
  const weeks = (told.value?.weeks ?? []).map(
    ({ firstDay, taskCount, estimatedSeconds, includedSeconds }) => ({
      firstDay,
      taskCount,
      length: shareOf(estimatedSeconds, includedSeconds),
      words: sayShare(estimatedSeconds, includedSeconds),
    }),
  );
  const now = weeks.at(-1);
  const isKnown = now !== undefined && now.length !== null;
  return {
    words: isKnown ? t('floor.efficiencyOf', { percent: now.words }) : t('floor.noEfficiency'),
    note: isKnown ? t('floor.ofTasks', { n: now.taskCount }) : '',
    bars: weeks.map(({ firstDay, length, words }) => ({
      name: firstDay === now?.firstDay ? t('floor.thisWeek') : t('floor.weekNumber', { n: weekOf(firstDay) }),
      length,
      words,
    })),
  };
});
</script>

<template>
  <p v-if="!told" class="none">
    {{ query.error.value ? t('common.theServerDoesNotAnswer') : t('common.opening') }}
  </p>
  <div v-else class="halves">
    <section v-for="half in [week, efficiency]" :key="half.words">
      <h2>{{ half.words }}</h2>
      <p>{{ half.note }}</p>
      <WallBars :bars="half.bars" :line="half === week ? 0 : 1" :label="half.words" />
    </section>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 4vw;
  padding: 3vh 0 1vh;
}
section {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  min-height: 0;
}
h2 {
  margin: 0;
  font-size: var(--wall-title);
  font-weight: 700;
}
p {
  margin: 0;
  color: var(--ink-2);
  font-size: var(--wall-line);
}
.none {
  padding: 6vh 0;
}
</style>
