<script setup lang="ts">
import { addDays } from '@wergon/core/time';
import { computed, ref } from 'vue';
import type { EffectJson } from '@wergon/contract/loose-ends';
import type { ComparisonJson } from '@wergon/contract/compare';
import { isPastEstimate } from '@wergon/core/compare';
import { Yardstick, sayBalance, yardstickWords } from '../compare/index.ts';
import { sayMonthDay, useDesk, useElementWidth } from '../kit/index.ts';
import { fittingLabel, tintOf, tintsOf } from '../floor/index.ts';
import { t } from '../words/index.ts';

/** The tapes before and after, each pair on one scale, and what happens to the jobs. */
const props = defineProps<{ effect: EffectJson }>();
const desk = useDesk();
const list = ref<HTMLElement>();
const width = useElementWidth(list);

const HOUR = 3600;
/** Room of a lane's name, in pixels. */
const NAME = 190;
type Lane = EffectJson['lanes'][number];
/** The stretch of hours that both tapes of a lane share: what either of them needs, and an hour around it. */
function spanOf({ day, before, after }: Lane) {
  const start = desk.zone?.startOf(day) ?? 0;
  const next = desk.zone?.startOf(addDays(day, 1)) ?? start + 24 * HOUR;
  const all = [...before, ...after];
  const from = Math.min(...all.map((each) => each.from), next);
  const to = Math.max(...all.map((each) => each.to), start);
  return { from: Math.max(start, from - HOUR), to: Math.min(next + 6 * HOUR, to + HOUR) };
}
const who = ({ name, day }: Lane) => {
  const days = new Set(props.effect.lanes.map((lane) => lane.day));
  return [
    ...(props.effect.lanes.length > 1 ? [name] : []),
    ...(days.size > 1 ? [sayMonthDay(day)] : []),
  ].join(', ');
};
const tints = computed(() =>
  tintsOf(props.effect.lanes.flatMap(({ before, after }) => [...before, ...after].map(({ order }) => order))),
);
const lanes = computed(() =>
  props.effect.lanes.flatMap((lane, i) => {
    const { from, to } = spanOf(lane);
    const keyOf = (block: Lane['before'][number]) => `${block.from} ${block.to} ${block.title}`;
    const [was, is] = [lane.before, lane.after].map((blocks) => new Set(blocks.map(keyOf)));
    return (['before', 'after'] as const).map((name) => ({
      key: `${i} ${name}`,
      name: name === 'before' ? t('looseEnds.before', { who: who(lane) }).trim() : t('looseEnds.after'),
      blocks: lane[name].flatMap((block) => {
        const left = Math.max(0, (block.from - from) / (to - from));
        const share = Math.min(1, (block.to - from) / (to - from)) - left;
        return left >= 1 || share <= 0
          ? []
          : {
              ...block,
              isChanged: !(name === 'before' ? is : was)?.has(keyOf(block)),
              label: fittingLabel([block.title, block.order ?? ''], share * (width.value - NAME)),
              style: {
                left: `${left * 100}%`,
                width: `${share * 100}%`,
                '--tint': tintOf(tints.value, block.order),
              },
            };
      }),
    }));
  }),
);
const change = (before: string, after: string) =>
  before === after ? t('looseEnds.asBefore', { after }) : t('looseEnds.becomes', { before, after });
/** A task is told by what it comes to in all; an activity, which has no end, by the days shown. */
const jobs = computed(() =>
  props.effect.jobs.map(({ title, task, ...job }) => {
    const say = (comparison: ComparisonJson) => {
      const { hours, word } = sayBalance(comparison, task?.hasEstimate ?? false, desk.hoursStyle);
      return `${hours} ${word}`;
    };
    const [was, is] = task
      ? [task.before.actualCost, task.after.actualCost]
      : [job.beforeCost, job.afterCost];
    return {
      title,
      task,
      hours: task
        ? change(say(task.before), say(task.after))
        : change(desk.hours(job.beforeSeconds), desk.hours(job.afterSeconds)),
      isOver: task !== null && task.hasEstimate && isPastEstimate(task.after.overSeconds),
      cost: change(desk.money(was), desk.money(is)),
      of: task?.hasEstimate ? t('common.ofMoney', { money: desk.money(task.after.estimatedCost) }) : '',
    };
  }),
);
</script>

<template>
  <div ref="list" class="effect">
    <div v-for="lane in lanes" :key="lane.key" class="lane">
      <span class="name">{{ lane.name }}</span>
      <div class="tape">
        <i
          v-for="(block, i) in lane.blocks"
          :key="i"
          :style="block.style"
          :class="{ torn: block.isTorn, changed: block.isChanged }"
          :title="block.title"
          >{{ block.label }}</i
        >
      </div>
    </div>
    <div v-for="job in jobs" :key="job.title" class="job">
      <b>{{ job.title }}</b>
      <Yardstick
        v-if="job.task"
        :estimated-seconds="job.task.hasEstimate ? job.task.after.estimatedSeconds : null"
        :used="job.task.used"
        size="small"
        :label="yardstickWords(job.task.after, job.task.hasEstimate, desk.hours)"
      />
      <span v-else class="quiet">{{ t('looseEnds.inTheDaysShown') }}</span>
      <span class="figure" :class="{ attention: job.isOver }">{{ job.hours }}</span>
      <span v-if="job.cost" class="figure quiet">{{ job.cost }} {{ job.of }}</span>
    </div>
    <p v-if="jobs.length === 0" class="quiet">{{ t('looseEnds.noHoursChange') }}</p>
    <p class="quiet">
      {{ t('looseEnds.looseEndsAround', { n: effect.lanes.length }) }}
      <b class="figure">{{ effect.looseEndsBefore }}</b> {{ t('looseEnds.now') }}
      <b class="figure">{{ effect.looseEndsAfter }}</b> {{ t('looseEnds.afterIt') }}
    </p>
  </div>
</template>

<style scoped>
.effect {
  padding: 8px 0 4px;
}
.lane {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  align-items: center;
  margin-bottom: 4px;
}
.name {
  overflow: hidden;
  color: var(--ink-2);
  font-size: var(--text-xs);
  text-overflow: ellipsis;
  white-space: nowrap;
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
  background: color-mix(in srgb, var(--tint) var(--tint-share), var(--sheet));
  border-left: 4px solid var(--tint);
  font-size: var(--text-xs);
  font-style: normal;
  line-height: 18px;
  white-space: nowrap;
}
.changed {
  background: var(--action);
  border-left-color: var(--action);
  color: var(--action-ink);
}
.torn {
  clip-path: polygon(0 0, 100% 0, calc(100% - 8px) 25%, 100% 50%, calc(100% - 8px) 75%, 100% 100%, 0 100%);
}
p {
  margin: 2px 0;
}
.job {
  display: grid;
  grid-template-columns: 190px 150px auto 1fr;
  gap: 2px 16px;
  align-items: center;
  padding: 3px 0;
}
@media (max-width: 700px) {
  .job {
    grid-template-columns: 1fr;
  }
}
</style>
