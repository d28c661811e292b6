<script setup lang="ts">
import { computed } from 'vue';
import type { WeekJson } from '@wergon/contract/timesheet';
import { sayDay, useDesk, linkToDay, linkToPay } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** Seven columns, each as high as what was planned; what a day holds stands in it, scanned below, written down above. */
const props = defineProps<{ week: WeekJson }>();
const desk = useDesk();
const HEIGHT = 96;

const highest = computed(() =>
  Math.max(
    3600,
    ...props.week.days.flatMap(({ plannedSeconds, totalSeconds }) => [plannedSeconds, totalSeconds]),
  ),
);
const pixels = (seconds: number) => `${(seconds / highest.value) * HEIGHT}px`;
/** The hours that the columns are read by. */
const TICK = 4 * 3600;
const ticks = computed(() =>
  Array.from({ length: Math.floor(highest.value / TICK) }, (_, i) => (i + 1) * TICK),
);
const columns = computed(() =>
  props.week.days.map((day, i) => {
    const own = props.week.rows.map(({ cells, ...row }) => ({ ...row, cell: cells[i] }));
    const scanned = own.flatMap(({ cell, isTask, title }) =>
      cell && cell.scannedSeconds > 0
        ? { seconds: cell.scannedSeconds, kind: isTask ? 'job' : 'indirect', title }
        : [],
    );
    const entered = own.flatMap(({ cell, title }) =>
      (cell?.entered ?? []).map(({ seconds }) => ({ seconds, kind: 'entered', title })),
    );
    return { ...day, words: sayDay(day.day), parts: [...scanned, ...entered] };
  }),
);
const STATES = {
  open: '',
  approved: t('timesheet.approved'),
  changed: t('timesheet.changedSinceApproved'),
} as const;
</script>

<template>
  <div class="columns">
    <div class="scale" :style="{ height: `${HEIGHT}px` }" aria-hidden="true">
      <span v-for="tick in ticks" :key="tick" class="figure" :style="{ bottom: pixels(tick) }">{{
        desk.hours(tick)
      }}</span>
    </div>
    <div v-for="day in columns" :key="day.day" class="day" :class="{ future: day.isFuture }">
      <div class="stack" :style="{ height: `${HEIGHT}px` }">
        <span v-for="tick in ticks" :key="tick" class="tick" :style="{ bottom: pixels(tick) }"></span>
        <span class="planned" :style="{ height: pixels(day.plannedSeconds) }"></span>
        <div class="parts">
          <i
            v-for="(part, i) in day.parts"
            :key="i"
            :class="part.kind"
            :style="{ height: pixels(part.seconds) }"
            :title="`${part.title} ${desk.hours(part.seconds)}`"
          ></i>
        </div>
      </div>
      <RouterLink :to="linkToDay(week.technician, day.day)">{{ day.words }}</RouterLink>
      <p class="figure">
        {{ day.totalSeconds > 0 ? desk.hours(day.totalSeconds) : '–' }}
        <small v-if="day.plannedSeconds > 0">{{
          t('timesheet.of', { hours: desk.hours(day.plannedSeconds) })
        }}</small>
        <RouterLink
          v-if="day.overtimeSeconds > 0 && desk.may('pay.see')"
          class="beyond"
          :to="linkToPay(week.technician, day.day)"
          >{{ t('timesheet.beyond', { hours: desk.hours(day.overtimeSeconds) }) }}</RouterLink
        >
        <span v-else-if="day.overtimeSeconds > 0" class="beyond">{{
          t('timesheet.beyond', { hours: desk.hours(day.overtimeSeconds) })
        }}</span>
      </p>
      <p class="state" :class="{ attention: day.state === 'changed' }">
        {{ day.absence ?? (day.isClosed ? t('timesheet.closed') : STATES[day.state]) }}
      </p>
    </div>
    <div></div>
  </div>
</template>

<style scoped>
.beyond {
  display: block;
  color: var(--attention);
  font-family: var(--sans);
  font-size: var(--text-xs);
}
.columns {
  display: grid;
  grid-template-columns: var(--week);
  padding: 12px 16px 0;
}
.day {
  padding: 0 8px 6px;
  border-left: 1px solid var(--line);
}
.scale {
  position: relative;
}
.scale span {
  position: absolute;
  right: 8px;
  color: var(--ink-2);
  font-size: var(--text-xs);
  line-height: 1;
  transform: translateY(50%);
}
.tick {
  position: absolute;
  right: -8px;
  left: -8px;
  border-top: 1px dotted var(--ink-2);
}
.future a {
  color: var(--ink-2);
}
.stack {
  position: relative;
  display: flex;
  align-items: flex-end;
  border-bottom: 1px solid var(--ink);
}
.planned {
  position: absolute;
  right: 0;
  bottom: 0;
  left: 0;
  border: 1px solid var(--line);
  border-bottom: 0;
  background: var(--bar-open);
}
.parts {
  position: relative;
  display: flex;
  flex-direction: column-reverse;
  width: 70%;
  margin: 0 auto;
}
i {
  display: block;
  min-height: 2px;
  border-top: 1px solid var(--sheet);
}
.job {
  background: var(--bar);
}
.indirect {
  background: var(--indirect);
}
.entered {
  background: repeating-linear-gradient(0deg, var(--action) 0 3px, var(--action-tint) 3px 5px);
}
p {
  margin: 0;
}
small {
  display: block;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
a {
  color: var(--ink);
}
.state {
  min-height: 18px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.state.attention {
  color: var(--attention);
}
</style>
