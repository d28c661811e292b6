<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import type { Presently } from '@wergon/core/floor';
import { useDesk } from '../kit/index.ts';
import type { Shown } from './floorRows.ts';
import { t } from '../words/index.ts';

const props = defineProps<{
  counts: Readonly<Record<Presently, number>>;
  accounted: number | null;
  isToday: boolean;
  /** People who are planned now and not in. */
  away: number;
  /** Who was there on a day gone by, and what that day was charged with, in seconds. */
  people: number;
  charged: number;
  shown: Shown;
}>();
const emit = defineEmits<{ show: [Shown] }>();
const desk = useDesk();
/** Each figure shows, when it is pressed, whom it counts. */
const figures = computed((): readonly { count: number; what: Shown; words: string; isWanting: boolean }[] => {
  const { work, indirect, break: resting, nothing } = props.counts;
  return [
    { count: work, what: 'on tasks', words: t('floor.onTasks'), isWanting: false },
    { count: indirect, what: 'on indirect work', words: t('common.indirect'), isWanting: false },
    { count: resting, what: 'on break', words: t('floor.onBreak'), isWanting: false },
    { count: nothing, what: 'no task', words: t('floor.signedInNoTask'), isWanting: nothing > 0 },
    ...(props.away > 0
      ? [
          {
            count: props.away,
            what: 'not here' as const,
            words: t('floor.expectedNotHere'),
            isWanting: true,
          },
        ]
      : []),
  ];
});
const percent = computed(() => (props.accounted === null ? null : Math.floor(props.accounted * 100)));
</script>

<template>
  <p class="counts" :aria-label="t('floor.theShopInFigures')">
    <template v-if="isToday">
      <BButton
        v-for="{ count, what, words, isWanting } in figures"
        :key="what"
        variant="link"
        :class="{ attention: isWanting }"
        :aria-pressed="shown === what"
        @click="emit('show', what)"
        ><b>{{ count }}</b> {{ words }}</BButton
      >
    </template>
    <template v-else>
      <span
        ><b>{{ people }}</b> {{ t('floor.peopleCounted', { n: people }) }}</span
      >
      <span
        ><b class="figure">{{ desk.hours(charged) }}</b> {{ t('floor.charged') }}</span
      >
    </template>
    <span class="accounted" :title="t('floor.shareOfAttendedTimeThatWasCharged')">
      {{ t('floor.accounted', { day: isToday ? t('floor.today') : t('common.thatDay') }) }}
      <b>{{ percent === null ? '–' : `${percent}%` }}</b>
    </span>
  </p>
</template>

<style scoped>
b {
  font-size: var(--text-2xl);
}
.btn {
  padding: 0;
  color: inherit;
  font-size: inherit;
  text-decoration: none;
}
.btn:hover,
.btn[aria-pressed='true'] {
  text-decoration: underline;
  text-underline-offset: 4px;
}
.btn.attention {
  color: var(--attention);
}
.accounted {
  margin-left: auto;
}
</style>
