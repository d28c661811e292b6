<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual';
import { useMediaQuery } from '@vueuse/core';
import { computed, ref } from 'vue';
import { chargedOf } from '@wergon/core/floor';
import type { Lane } from '@wergon/core/floor';
import { sumSeconds } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { sayDay, useElementWidth } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import BlockScans from './BlockScans.vue';
import DayRuler from './DayRuler.vue';
import FloorCounts from './FloorCounts.vue';
import { floorMore } from './floorMore.ts';
import { isDrawn, isShown, rowsOf, wordsIn } from './floorRows.ts';
import type { FloorRow, Grouping, Opened, Shown, WorkBlock } from './floorRows.ts';
import LatestLine from './LatestLine.vue';
import RequestLines from './RequestLines.vue';
import { tintsOf } from './jobLook.ts';
import FloorFilters from './FloorFilters.vue';
import TapeLane from './TapeLane.vue';
import { createTapeScale } from './tapeScale.ts';
import { useFloor } from './useFloor.ts';
import { t } from '../words/index.ts';

const floor = useFloor();
const { board, lanes, counts, accounted, day, askedDay, now, isToday, query } = floor;
const search = ref('');
/** The order under the pointer or the focus: it stands out in every lane at once. */
const pointed = ref<string | null>(null);
const tape = ref<HTMLElement>();
const width = useElementWidth(tape);

const scale = computed(() => board.value && createTapeScale(board.value, lanes.value, day.value));

const shown = ref<Shown>('everybody');
const grouping = ref<Grouping>('department');
const opened = ref<Opened | null>(null);
const people = computed(
  () => new Map((query.data.value?.people ?? []).map((person) => [person.technician, person])),
);
const more = computed(() => floorMore(query.data.value));
const isIn = (lane: Lane, wanted: Shown) =>
  isShown(lane, wanted, people.value.get(lane.technician.id), now.value);
const isAway = (lane: Lane) => isIn(lane, 'not here');
const away = computed(() => lanes.value.filter((lane) => !lane.technician.hasLeft && isAway(lane)));
/** What people are doing now says nothing of a day gone by. */
const isAmong = (lane: Lane, wanted: Shown) => (isToday.value ? isIn(lane, wanted) : isDrawn(lane));
const present = computed(() => lanes.value.filter((lane) => isAmong(lane, 'everybody')));
/** Who is not signed in: what they asked for they asked without. */
const out = computed(
  () =>
    new Set(
      lanes.value.filter(({ presently }) => presently === 'out').map(({ technician }) => technician.id),
    ),
);
const charged = computed(() => sumSeconds(present.value.map((lane) => ({ seconds: chargedOf(lane) }))));
const listed = computed(() => {
  const words = search.value.trim().toLowerCase();
  return lanes.value.filter(
    (lane) =>
      !lane.technician.hasLeft &&
      isAmong(lane, shown.value) &&
      (words === '' || (board.value && wordsIn(board.value, lane, more.value.unit).includes(words))),
  );
});
const rows = computed(() =>
  rowsOf(
    listed.value,
    ({ technician }) =>
      grouping.value === 'crew'
        ? people.value.get(technician.id)?.crew || t('floor.noCrew')
        : technician.department || t('common.noDepartment'),
    opened.value,
  ),
);
const unitOf = (block: WorkBlock): string => {
  const [first] = block.running;
  const known = first && board.value?.targets.get(first.target);
  return known?.kind === 'task' ? more.value.unit(known.order) : '';
};
function open(technician: string, from: Instant): void {
  const isSame = opened.value?.technician === technician && opened.value.from === from;
  opened.value = isSame ? null : { technician, from };
}
/** Only the rows in sight are drawn: a big shop scrolls as smoothly as a small one. */
const list = ref<HTMLElement>();
const scroller = computed(() => list.value?.closest('main') ?? null);
const isNarrow = useMediaQuery('(max-width: 900px)');
const heights = computed(() => ({ group: 27, lane: isNarrow.value ? 75 : 41, scans: 150 }));
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: (i: number) => heights.value[rows.value[i]?.kind ?? 'lane'],
    getItemKey: (i: number) => rows.value[i]?.key ?? i,
    overscan: 6,
    scrollMargin: list.value?.offsetTop ?? 0,
  })),
);
const drawn = computed(() =>
  virtual.value.getVirtualItems().flatMap((item) => {
    const row = rows.value[item.index];
    return row
      ? [{ row, index: item.index, top: item.start - (virtual.value.options.scrollMargin ?? 0) }]
      : [];
  }),
);
/** Only opened scans are as high as their words; asking every row for its height would lay out the page row by row. */
function measure(element: Element | null, row: FloorRow): void {
  if (element === null || row.kind === 'scans') virtual.value.measureElement(element);
}
const isFiltered = computed(() => search.value !== '' || (isToday.value && shown.value !== 'everybody'));
function showAll(): void {
  search.value = '';
  shown.value = 'everybody';
}
const tints = computed(() =>
  tintsOf(
    lanes.value.flatMap(({ blocks }) =>
      blocks.flatMap((block) =>
        block.kind === 'work'
          ? block.running.map(({ target }) => {
              const known = board.value?.targets.get(target);
              return known?.kind === 'task' ? known.order : null;
            })
          : [],
      ),
    ),
  ),
);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="sayDay(askedDay)"
    :step="t('kit.stepDay')"
    :today="t('kit.toToday')"
    :search-label="t('kit.findPersonOrderTask')"
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
      <FloorCounts
        :counts="counts"
        :accounted="accounted"
        :is-today="isToday"
        :away="away.length"
        :people="present.length"
        :charged="charged"
        :shown="shown"
        @show="shown = shown === $event ? 'everybody' : $event"
      />
      <RequestLines v-if="isToday" :out="out" />
      <LatestLine v-if="isToday" />
      <FloorFilters
        v-model:shown="shown"
        v-model:grouping="grouping"
        :is-today="isToday"
        :filtered="isFiltered ? { shown: listed.length, of: present.length, search } : null"
        :details="query.data.value?.orderDetails ?? []"
        @show-all="showAll"
      />
      <div
        ref="list"
        class="tape"
        :class="{ waiting: day !== askedDay }"
        :style="{ height: `${virtual.getTotalSize()}px` }"
        @mouseleave="pointed = null"
      >
        <div ref="tape" class="measure" aria-hidden="true"></div>
        <div
          v-for="{ row, index, top } in drawn"
          :key="row.key"
          :ref="(element) => measure(element as Element | null, row)"
          :data-index="index"
          class="placed"
          :class="{ raised: row.kind === 'scans' }"
          :style="{ transform: `translateY(${top}px)` }"
        >
          <h2 v-if="row.kind === 'group'">
            {{ row.name }} <span v-if="isToday">{{ t('common.peopleIn', { n: row.peopleIn }) }}</span>
          </h2>
          <TapeLane
            v-else-if="row.kind === 'lane'"
            v-model:pointed="pointed"
            :lane="row.lane"
            :board="board"
            :scale="scale!"
            :tints="tints"
            :now="now"
            :is-today="isToday"
            :width="width"
            :more="more"
            :day="day"
            :person="people.get(row.lane.technician.id)"
            :opened="opened?.technician === row.lane.technician.id ? opened.from : null"
            @open="open(row.lane.technician.id, $event)"
          />
          <BlockScans
            v-else
            :technician="row.lane.technician.id"
            :block="row.block"
            :board="board"
            :unit="unitOf(row.block)"
            :day="day"
            @close="opened = null"
          />
        </div>
        <div v-if="scale && isToday" class="overlay" aria-hidden="true">
          <span class="now" :style="{ left: `${scale.place(now) * 100}%` }"></span>
        </div>
      </div>
      <p v-if="present.length === 0" class="empty">
        {{ t('floor.nobodyHasScannedOnThisDay') }}
        <RouterLink v-if="board.technicians.size === 0" to="/shop">{{
          t('floor.addPeopleAndAStationInShop')
        }}</RouterLink>
      </p>
      <footer class="legend">
        <span><i class="swatch job"></i>{{ t('floor.onATask') }}</span>
        <span><i class="swatch setup"></i>{{ t('common.setup') }}</span>
        <span><i class="swatch rework"></i>{{ t('common.rework') }}</span>
        <span><i class="swatch indirect"></i>{{ t('common.indirect') }}</span>
        <span><i class="swatch pause"></i>{{ t('common.break') }}</span>
        <span><i class="swatch nothing"></i>{{ t('floor.signedInNoTask') }}</span>
        <span><i class="swatch torn"></i>{{ t('floor.stopIsMissing') }}</span>
        <span><i class="swatch written"></i>{{ t('floor.enteredByHandNotScanned') }}</span>
        <span v-if="isToday && away.length > 0" class="absent">
          {{ t('floor.expectedPeople', { names: away.map(({ technician }) => technician.name).join(', ') }) }}
        </span>
      </footer>
    </template>
  </DeskFrame>
</template>

<style scoped lang="scss">
.empty {
  margin: 0;
  padding: 10px 16px;
}
.raised {
  z-index: 1;
}
.placed {
  position: absolute;
  top: 0;
  left: 0;
  width: 100%;
}
.tape {
  position: relative;
  background: var(--sheet);
}
/* The day that is asked for has not come: what stands there is the one before it. */
.waiting {
  opacity: 0.45;
  transition: opacity 0.1s linear 0.3s;
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
/* Where a lane is two lines high the line of now would run through its words. */
@media (max-width: 900px) {
  .overlay {
    display: none;
  }
}
h2 {
  margin: 0;
  padding: 4px 14px;
  background: var(--band);
  border-bottom: 1px solid var(--line);
  font-size: var(--text-s);
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
  font-size: var(--text-xs);
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
.written {
  height: 5px;
  border: 1px solid var(--ink-2);
  vertical-align: 3px;
}
.torn {
  background: color-mix(in srgb, var(--job-0) var(--tint-share), var(--sheet));
  clip-path: polygon(0 0, 100% 0, 80% 25%, 100% 50%, 80% 75%, 100% 100%, 0 100%);
}
.absent {
  flex: 1 0 100%;
}
</style>
