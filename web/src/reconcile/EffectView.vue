<script setup lang="ts">
import { computed } from 'vue';
import { readDay, readInstant } from '@wergon/contract/floor';
import type { EffectJson } from '@wergon/contract/reconcile';
import type { LocalDay } from '@wergon/core/time';
import { useDesk } from '../desk/useDesk.ts';

const props = defineProps<{ effect: EffectJson }>();
const desk = useDesk();

const HOUR = 3600;
/** The stretch of hours that both lanes share: what either of them needs, and an hour around it. */
const span = computed(() => {
  const { lanes: own, day } = props.effect;
  const start = desk.zone?.startOf(readDay(day)) ?? 0;
  const next = desk.zone?.startOf((readDay(day) + 1) as LocalDay) ?? start + 24 * HOUR;
  const all = own.flatMap(({ before, after }) => [...before, ...after]);
  const from = Math.min(...all.map((each) => readInstant(each.from)), next);
  const to = Math.max(...all.map((each) => readInstant(each.to)), start);
  return { from: Math.max(start, from - HOUR), to: Math.min(next + 6 * HOUR, to + HOUR) };
});
const lanes = computed(() =>
  props.effect.lanes.flatMap((lane) =>
    (['before', 'after'] as const).map((name) => ({
      key: `${lane.name} ${name}`,
      name: props.effect.lanes.length > 1 ? `${lane.name} ${name}` : name,
      blocks: lane[name].flatMap((block) => {
        const { from, to } = span.value;
        const left = (readInstant(block.from) - from) / (to - from);
        const right = (readInstant(block.to) - from) / (to - from);
        return left >= 1 || right <= 0
          ? []
          : {
              ...block,
              style: {
                left: `${Math.max(0, left) * 100}%`,
                width: `${(Math.min(1, right) - Math.max(0, left)) * 100}%`,
              },
            };
      }),
    })),
  ),
);
const jobs = computed(() =>
  props.effect.jobs.map((job) => ({
    title: job.title,
    hours: `${desk.hours(job.beforeSeconds)} becomes ${desk.hours(job.afterSeconds)}`,
    cost: job.beforeCost === null ? '' : `${job.beforeCost} becomes ${job.afterCost ?? ''}`,
  })),
);
</script>

<template>
  <div class="effect">
    <div v-for="lane in lanes" :key="lane.key" class="lane">
      <span class="name">{{ lane.name }}</span>
      <div class="tape">
        <i
          v-for="(block, i) in lane.blocks"
          :key="i"
          :style="block.style"
          :class="{ torn: block.isTorn }"
          :title="block.title"
          >{{ block.title }}</i
        >
      </div>
    </div>
    <p v-for="job in jobs" :key="job.title">
      <b>{{ job.title }}</b> <span class="figure">{{ job.hours }}</span>
      <span v-if="job.cost" class="figure quiet"> · {{ job.cost }}</span>
    </p>
    <p v-if="jobs.length === 0" class="quiet">No hours change.</p>
    <p class="quiet">
      Loose ends of this person around that day: <b class="figure">{{ effect.looseEndsBefore }}</b> now,
      <b class="figure">{{ effect.looseEndsAfter }}</b> after it.
    </p>
  </div>
</template>

<style scoped>
.effect {
  padding: 8px 0 4px;
}
.lane {
  display: grid;
  grid-template-columns: minmax(60px, max-content) 1fr;
  align-items: center;
  margin-bottom: 4px;
}
.name {
  color: var(--ink-2);
  font-size: 13px;
}
.tape {
  position: relative;
  height: 24px;
  overflow: hidden;
  background: var(--paper);
  border: 1px solid var(--line);
}
i {
  position: absolute;
  top: 2px;
  bottom: 2px;
  overflow: hidden;
  padding: 0 6px;
  background: color-mix(in srgb, var(--job-0) var(--tint-share), var(--sheet));
  border-left: 4px solid var(--job-0);
  font-size: 13px;
  font-style: normal;
  line-height: 18px;
  white-space: nowrap;
}
.torn {
  clip-path: polygon(0 0, 100% 0, calc(100% - 8px) 25%, 100% 50%, calc(100% - 8px) 75%, 100% 100%, 0 100%);
}
p {
  margin: 2px 0;
}
</style>
