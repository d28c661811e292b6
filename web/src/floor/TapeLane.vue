<script setup lang="ts">
import { computed } from 'vue';
import type { Block, Board, Lane } from '@wergon/core/floor';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { FloorJson } from '@wergon/contract/floor';
import { sayClock, useDesk, linkToDay } from '../kit/index.ts';
import type { FloorMore } from './floorMore.ts';
import { fittingLabel, tintOf } from './jobLook.ts';
import LaneNow from './LaneNow.vue';
import type { TapeScale } from './tapeScale.ts';
import { PlainButton } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';

const props = defineProps<{
  lane: Lane;
  board: Board;
  scale: TapeScale;
  tints: ReadonlyMap<string, number>;
  now: Instant;
  isToday: boolean;
  day: LocalDay;
  /** Width of the tape in pixels: a label is drawn only where it fits whole. */
  width: number;
  /** The stint whose scans are open. */
  opened: Instant | null;
  more: FloorMore;
  /** What was planned of this person that day. */
  person: FloorJson['people'][number] | undefined;
}>();
const emit = defineEmits<{ open: [from: Instant] }>();
const pointed = defineModel<string | null>('pointed', { required: true });
const desk = useDesk();

/** The day of this person, to whoever may see days. */
const ownDay = computed(() =>
  desk.may('reconcile.see') ? linkToDay(props.lane.technician.id, props.day) : undefined,
);
const orderOf = (block: Block) => {
  if (block.kind !== 'work') return undefined;
  const target = block.running
    .map((run) => props.board.targets.get(run.target))
    .find((each) => each?.kind === 'task');
  return target?.kind === 'task' ? props.board.orders.get(target.order) : undefined;
};
const blocks = computed(() =>
  props.lane.blocks.map((block) => {
    const left = props.scale.place(block.from);
    const share = props.scale.place(block.to) - left;
    const order = orderOf(block);
    const isShared = block.kind === 'work' && block.running.length > 1;
    const label = `${order?.number ?? ''}${isShared ? ' +' : ''}`;
    const titles =
      block.kind === 'work'
        ? sayList(block.running.map(({ target }) => props.board.targets.get(target)?.title ?? ''))
        : block.kind === 'break'
          ? t('common.break')
          : t('floor.noTask');
    const { zone } = props.board.facts;
    return {
      key: `${block.kind}${block.from}`,
      kind: block.kind === 'work' && !order ? 'indirect' : block.kind,
      from: block.kind === 'work' ? block.stint.from : null,
      texture: block.kind === 'work' ? block.running[0]?.workType : undefined,
      isTorn: block.kind === 'work' && block.isTorn,
      order,
      tint: tintOf(props.tints, order?.id ?? null),
      label: fittingLabel([label], share * props.width),
      words: t('floor.to', {
        label,
        titles,
        time: sayClock(zone, block.from),
        time2: sayClock(zone, block.to),
      }).trim(),
      style: { left: `${left * 100}%`, width: `${share * 100}%` },
    };
  }),
);

const length = computed(() =>
  props.lane.since === undefined ? '' : desk.hours(Math.max(0, props.now - props.lane.since)),
);
const written = computed(() => {
  const { fromHour, toHour } = props.scale;
  return { width: `${Math.min(1, props.lane.enteredSeconds / 3600 / (toHour - fromHour)) * 100}%` };
});
const needsSomebody = computed(() => props.isToday && props.lane.presently === 'nothing');
</script>

<template>
  <div class="lane" :class="{ needs: needsSomebody }">
    <div class="name">
      <RouterLink v-if="ownDay" :to="ownDay" :title="t('common.openThisDay')">{{
        lane.technician.name
      }}</RouterLink>
      <span v-else>{{ lane.technician.name }}</span>
      <span
        v-if="isToday && (lane.presently === 'work' || lane.presently === 'indirect')"
        class="figure quiet"
        >{{ length }}</span
      >
    </div>
    <div class="blocks">
      <template v-for="block in blocks" :key="block.key">
        <PlainButton
          v-if="block.from !== null"
          class="block figure"
          :class="[
            block.kind === 'indirect' ? 'indirect' : 'job',
            block.texture,
            {
              torn: block.isTorn,
              pointed: block.order && pointed === block.order.id,
              opened: opened === block.from,
            },
          ]"
          :style="{ ...block.style, '--tint': block.tint }"
          :title="block.words"
          :aria-label="block.words"
          :aria-expanded="opened === block.from"
          @click="emit('open', block.from)"
          @mouseenter="pointed = block.order?.id ?? null"
          @focus="pointed = block.order?.id ?? null"
        >
          {{ block.label }}
        </PlainButton>
        <RouterLink
          v-else-if="block.kind === 'nothing' && ownDay"
          :to="ownDay"
          class="block nothing"
          :style="block.style"
          :title="block.words"
          :aria-label="block.words"
        />
        <span
          v-else
          class="block"
          :class="[block.kind, { torn: block.isTorn }]"
          :style="block.style"
          :title="block.words"
        ></span>
      </template>
      <span
        v-if="lane.enteredSeconds > 0"
        class="written"
        :style="written"
        :title="t('common.hoursWrittenDown', { hours: desk.hours(lane.enteredSeconds) })"
      ></span>
    </div>
    <LaneNow
      v-model:pointed="pointed"
      :lane="lane"
      :board="board"
      :now="now"
      :is-today="isToday"
      :more="more"
      :person="person"
    />
  </div>
</template>

<style scoped lang="scss">
.lane {
  display: grid;
  grid-template-columns: var(--col-name) minmax(0, 1fr) var(--col-side);
  height: 41px;
  border-bottom: 1px solid var(--line);
}
.needs {
  background: var(--attention-tint);
}
.name {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  padding: 0 14px;
  border-right: 1px solid var(--line);
  white-space: nowrap;
  overflow: hidden;
  a {
    overflow: hidden;
    color: var(--ink);
    text-decoration: none;
    text-overflow: ellipsis;
    &:hover {
      text-decoration: underline;
    }
  }
  .figure {
    font-size: var(--text-s);
  }
}
.blocks {
  position: relative;
  min-width: 0;
  overflow: hidden;
}
.block {
  position: absolute;
  top: 7px;
  height: 24px;
  overflow: hidden;
  font-size: var(--text-s);
  font-weight: 600;
  line-height: 24px;
  white-space: nowrap;
}
.job,
.indirect {
  padding: 0 0 0 8px;
  border: 0;
  text-align: left;
}
.job {
  background-color: color-mix(in srgb, var(--tint) var(--tint-share), var(--sheet));
  box-shadow: inset 4px 0 var(--tint);
  color: var(--ink);
  text-decoration: none;
  &.setup {
    background-image: repeating-linear-gradient(
      -45deg,
      transparent 0 4px,
      color-mix(in srgb, var(--tint) 40%, transparent) 4px 6px
    );
  }
  &.rework {
    background-image: radial-gradient(
      circle at 3px 3px,
      color-mix(in srgb, var(--tint) 80%, transparent) 1px,
      transparent 1.5px
    );
    background-size: 6px 6px;
  }
  &.pointed,
  &.opened,
  &:focus-visible {
    background-color: var(--action);
    box-shadow: none;
    color: var(--action-ink);
  }
}
.indirect {
  background: color-mix(in srgb, var(--indirect) 45%, var(--sheet));
}
.written {
  position: absolute;
  right: 0;
  bottom: 2px;
  height: 5px;
  border: 1px solid var(--ink-2);
  border-right: 0;
}
.break {
  top: 18px;
  height: 2px;
  background: var(--indirect);
}
.nothing {
  border: 2px dashed var(--attention);
}
.torn {
  clip-path: polygon(0 0, 100% 0, calc(100% - 5px) 25%, 100% 50%, calc(100% - 5px) 75%, 100% 100%, 0 100%);
}
/* Beside a name there is no room for what somebody is on: it stands below, above the tape. */
@media (max-width: 900px) {
  .lane {
    grid-template-rows: 36px 38px;
    grid-template-columns: var(--col-name) minmax(0, 1fr);
    height: 75px;
  }
  .name {
    padding: 0 8px;
    border: 0;
  }
  .name span:last-child {
    font-size: var(--text-xs);
  }
  .blocks {
    grid-row: 2;
    grid-column: 2;
  }
}
</style>
