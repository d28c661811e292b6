<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Lane } from '@wergon/core/floor';
import { sayDay } from '../desk/dates.ts';
import DeskFrame from '../desk/DeskFrame.vue';
import QueryState from '../desk/QueryState.vue';
import DayRuler from './DayRuler.vue';
import FloorCounts from './FloorCounts.vue';
import RequestLines from './RequestLines.vue';
import TapeLane from './TapeLane.vue';
import { createTapeScale } from './tapeScale.ts';
import { useElementWidth } from './useElementWidth.ts';
import { useFloor } from './useFloor.ts';

const floor = useFloor();
const { board, lanes, counts, accounted, day, now, isToday, query } = floor;
const search = ref('');
/** The order under the pointer or the focus: it stands out in every lane at once. */
const pointed = ref<string | null>(null);
const tape = ref<HTMLElement>();
const width = useElementWidth(tape);

const scale = computed(() => board.value && createTapeScale(board.value, lanes.value, day.value));

function wordsIn(lane: Lane): string {
  const names = lane.blocks.flatMap((block) =>
    block.kind !== 'work'
      ? []
      : block.running.map(({ target }) => {
          const known = board.value?.targets.get(target);
          const order = known?.kind === 'task' ? board.value?.orders.get(known.order) : undefined;
          return `${known?.title ?? ''} ${order?.number ?? ''} ${order?.customer ?? ''}`;
        }),
  );
  return `${lane.technician.name} ${names.join(' ')}`.toLowerCase();
}
const present = computed(() =>
  lanes.value.filter(({ blocks, presently }) => blocks.length > 0 || presently !== 'out'),
);
const absent = computed(() =>
  lanes.value.filter(
    ({ blocks, presently, technician }) => !technician.hasLeft && blocks.length === 0 && presently === 'out',
  ),
);
const shown = computed(() => {
  const words = search.value.trim().toLowerCase();
  return words === '' ? present.value : present.value.filter((lane) => wordsIn(lane).includes(words));
});
const departments = computed(() => {
  const groups = new Map<string, Lane[]>();
  for (const lane of shown.value) {
    const name = lane.technician.department || 'No department';
    groups.set(name, [...(groups.get(name) ?? []), lane]);
  }
  return [...groups].map(([name, own]) => ({
    name,
    lanes: own,
    peopleIn: own.filter(({ presently }) => presently !== 'out').length,
  }));
});
/** Neighbouring orders get different tints: the next of eight for each order that appears. */
const tints = computed(() => {
  const numbers = new Map<string, number>();
  for (const { blocks } of lanes.value)
    for (const block of blocks)
      if (block.kind === 'work')
        for (const { target } of block.running) {
          const known = board.value?.targets.get(target);
          if (known?.kind === 'task' && !numbers.has(known.order)) numbers.set(known.order, numbers.size % 8);
        }
  return numbers;
});
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="sayDay(day)"
    step="day"
    today="today"
    search-label="Person, order, task"
    @back="floor.back"
    @on="floor.on"
    @today="floor.goToday"
  >
    <template #ruler>
      <DayRuler
        v-if="board && scale"
        :board="board"
        :lanes="lanes"
        :day="day"
        :scale="scale"
        :now="isToday ? now : null"
      />
    </template>
    <QueryState
      v-if="!board"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <FloorCounts :counts="counts" :accounted="accounted" :is-today="isToday" />
      <RequestLines v-if="isToday" />
      <p v-if="search" class="filtered" role="status">
        {{ shown.length }} of {{ present.length }} people match “{{ search }}”.
        <button type="button" class="btn btn-quiet btn-sm" @click="search = ''">Show all</button>
      </p>
      <div class="tape" @mouseleave="pointed = null">
        <div ref="tape" class="measure" aria-hidden="true"></div>
        <section v-for="group in departments" :key="group.name" :aria-label="group.name">
          <h2>
            {{ group.name }} <span v-if="isToday">{{ group.peopleIn }} in</span>
          </h2>
          <TapeLane
            v-for="lane in group.lanes"
            :key="lane.technician.id"
            v-model:pointed="pointed"
            :lane="lane"
            :board="board"
            :scale="scale!"
            :tints="tints"
            :now="now"
            :is-today="isToday"
            :width="width"
          />
        </section>
        <div v-if="scale && isToday" class="overlay" aria-hidden="true">
          <span class="now" :style="{ left: `${scale.place(now) * 100}%` }"></span>
        </div>
      </div>
      <p v-if="present.length === 0" class="empty">
        Nobody has scanned on this day.
        <RouterLink v-if="board.technicians.size === 0" to="/shop"
          >Add people and a station in Shop.</RouterLink
        >
      </p>
      <footer class="legend">
        <span><i class="swatch job"></i>on a task</span>
        <span><i class="swatch setup"></i>setup</span>
        <span><i class="swatch rework"></i>rework</span>
        <span><i class="swatch indirect"></i>indirect</span>
        <span><i class="swatch pause"></i>break</span>
        <span><i class="swatch nothing"></i>signed in, on nothing</span>
        <span><i class="swatch torn"></i>stop is missing</span>
        <span v-if="isToday && absent.length > 0" class="absent">
          not in: {{ absent.map(({ technician }) => technician.name).join(', ') }}
        </span>
      </footer>
    </template>
  </DeskFrame>
</template>

<style scoped lang="scss">
.filtered,
.empty {
  margin: 0;
  padding: 10px 16px;
}
.tape {
  position: relative;
  background: var(--sheet);
}
.measure,
.overlay {
  position: absolute;
  top: 0;
  bottom: 0;
  left: var(--col-name);
  right: var(--col-side);
  pointer-events: none;
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--attention);
}
h2 {
  margin: 0;
  padding: 4px 14px;
  background: var(--band);
  border-bottom: 1px solid var(--line);
  font-size: 14px;
  font-weight: 700;
  line-height: 18px;
  span {
    margin-left: 6px;
    font-weight: 400;
    color: var(--ink-2);
  }
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  padding: 12px 16px 20px;
  color: var(--ink-2);
  font-size: 13px;
}
.swatch {
  display: inline-block;
  width: 24px;
  height: 13px;
  margin-right: 7px;
  vertical-align: -2px;
}
.job,
.setup,
.rework {
  background-color: color-mix(in srgb, var(--job-0) var(--tint-share), var(--sheet));
  border-left: 4px solid var(--job-0);
}
.setup {
  background-image: repeating-linear-gradient(
    -45deg,
    transparent 0 3px,
    color-mix(in srgb, var(--job-0) 45%, transparent) 3px 5px
  );
}
.rework {
  background-image: radial-gradient(circle at 3px 3px, var(--job-0) 1px, transparent 1.5px);
  background-size: 6px 6px;
}
.indirect {
  background: color-mix(in srgb, var(--indirect) 45%, var(--sheet));
}
.pause {
  height: 2px;
  vertical-align: 4px;
  background: var(--indirect);
}
.nothing {
  border: 2px dashed var(--attention);
}
.torn {
  background: color-mix(in srgb, var(--job-0) var(--tint-share), var(--sheet));
  clip-path: polygon(0 0, 100% 0, 80% 25%, 100% 50%, 80% 75%, 100% 100%, 0 100%);
}
.absent {
  flex: 1 0 100%;
}
</style>
