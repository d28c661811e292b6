<script setup lang="ts">
import { computed, ref } from 'vue';
import { toInstant } from '@wergon/core/time';
import type { Instant, Span, Zone } from '@wergon/core/time';
import { sayClock, useElementWidth } from '../kit/index.ts';
import { fittingLabel, tintOf, tintsOf } from '../floor/index.ts';
import type { TapeScale } from '../floor/index.ts';
import { vDrag } from './drag.ts';
import type { Dragged } from './drag.ts';
import { snapEdge } from './snap.ts';
import type { DraftPiece } from './useTapeEdit.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { PlainButton } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';

/** One person's day, large: blocks are taken hold of, edges drawn, gaps filled. */
const props = defineProps<{
  blocks: readonly TapeBlock[];
  gaps: readonly Span[];
  breaks: readonly Span[];
  shifts: readonly Span[];
  planned: Span | null;
  pieces: readonly DraftPiece[];
  /** The block that is being edited; it is drawn as what it becomes. */
  taken: Instant | null;
  scale: TapeScale;
  zone: Zone;
  now: Instant | null;
  mayEdit: boolean;
}>();
const emit = defineEmits<{
  take: [block: TapeBlock];
  begin: [gap: Span];
  draw: [piece: number, edge: 'from' | 'to', at: Instant];
}>();
const tape = ref<HTMLElement>();

/** So near, in pixels, a neighbour's edge draws the one that is drawn. */
const REACH = 8;
const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: -60,
  ArrowRight: 60,
  PageDown: -900,
  PageUp: 900,
};

const width = useElementWidth(tape);
const percent = (share: number) => `${share * 100}%`;
type Runs = readonly { readonly title: string; readonly order: string | null }[];
const sayAll = (running: Runs) => sayList(running.map(({ title }) => title));
/** The whole words where they fit, else the number of the order. */
function labelOf({ from, to }: Span, running: Runs): string {
  const share = Math.min(1, props.scale.place(to)) - Math.max(0, props.scale.place(from));
  return fittingLabel([sayAll(running) || 'what?', running[0]?.order ?? ''], share * width.value);
}
const tints = computed(() =>
  tintsOf(props.blocks.flatMap(({ stint }) => stint.running.map(({ order }) => order))),
);
const titleOf = (block: TapeBlock) => sayAll(block.stint.running);
function placed({ from, to }: Span) {
  const left = Math.max(0, props.scale.place(from));
  return { left: percent(left), width: percent(Math.min(1, props.scale.place(to)) - left) };
}
const clock = (at: Instant) => sayClock(props.zone, at);
const others = computed(() => props.blocks.filter(({ from }) => from !== props.taken));
const neighbours = computed(() => [
  ...[...others.value, ...props.breaks, ...props.shifts].flatMap(({ from, to }) => [from, to]),
  ...(props.planned ? [props.planned.from, props.planned.to] : []),
]);
const drawn = computed(() =>
  props.pieces.map((piece, i) => {
    const to = piece.to ?? props.now ?? piece.from;
    return {
      i,
      piece,
      style: placed({ from: piece.from, to }),
      title: labelOf({ from: piece.from, to }, piece.running),
      edges: [
        { edge: 'from' as const, at: piece.from, left: percent(props.scale.place(piece.from)) },
        ...(piece.to === null
          ? []
          : [{ edge: 'to' as const, at: piece.to, left: percent(props.scale.place(piece.to)) }]),
      ].filter(({ at }) => props.scale.place(at) >= 0 && props.scale.place(at) <= 1),
    };
  }),
);

/** What lies under a place of the window, and how many seconds a pixel is. */
function measure(): { readonly at: (x: number) => Instant; readonly perPixel: number } | undefined {
  const box = tape.value?.getBoundingClientRect();
  return (
    box && {
      at: (x) => props.scale.at((x - box.left) / box.width),
      perPixel: ((props.scale.toHour - props.scale.fromHour) * 3600) / box.width,
    }
  );
}
const snap = (at: Instant, perPixel: number) => snapEdge(at, neighbours.value, REACH * perPixel);
const edgeDrag = (piece: number, edge: 'from' | 'to') => ({
  move: ({ to }: Dragged) => {
    const under = measure();
    if (under) emit('draw', piece, edge, snap(under.at(to), under.perPixel));
  },
});
/** What a block was when it was taken hold of: it moves as a whole. */
let grabbed: { readonly from: Instant; readonly to: Instant } | undefined;
const blockDrag = (place: number, { from, to }: DraftPiece) => ({
  start: () => (grabbed = to === null ? undefined : { from, to }),
  move: (dragged: Dragged) => {
    const under = measure();
    if (!grabbed || !under) return;
    const wanted = grabbed.from + under.at(dragged.to) - under.at(dragged.from);
    const begins = snap(toInstant(wanted), under.perPixel);
    emit('draw', place, 'from', begins);
    emit('draw', place, 'to', toInstant(grabbed.to + begins - grabbed.from));
  },
});
function onKey(event: KeyboardEvent, piece: number, edge: 'from' | 'to', at: Instant): void {
  const step = STEPS[event.key];
  if (step === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  emit('draw', piece, edge, toInstant(at + step));
}
</script>

<template>
  <div ref="tape" class="tape">
    <span v-if="planned" class="planned" :style="placed(planned)" :title="t('common.planned')"></span>
    <span v-for="shift in shifts" :key="`s${shift.from}`" class="shift" :style="placed(shift)"></span>
    <span
      v-for="each in breaks"
      :key="`b${each.from}`"
      class="break"
      :style="placed(each)"
      :title="t('common.break')"
    ></span>
    <PlainButton
      v-for="gap in gaps"
      :key="`g${gap.from}`"
      class="gap"
      :style="placed(gap)"
      :disabled="!mayEdit"
      :aria-label="t('tape.onNothingFromToFillIt', { time: clock(gap.from), time2: clock(gap.to) })"
      @click="emit('begin', gap)"
    ></PlainButton>
    <PlainButton
      v-for="block in others"
      :key="block.key"
      class="block"
      :class="[block.stint.running[0]?.workType, { torn: block.stint.isTorn }]"
      :style="{ ...placed(block), '--tint': tintOf(tints, block.stint.running[0]?.order ?? null) }"
      :title="titleOf(block)"
      :aria-label="
        t('tape.blockTo', {
          title: titleOf(block),
          time: clock(block.from),
          end: block.stint.isOpen ? t('common.now') : clock(block.to),
        })
      "
      @click="emit('take', block)"
    >
      <span>{{ labelOf(block, block.stint.running) }}</span>
    </PlainButton>
    <template v-for="{ i, piece, style, title, edges } in drawn" :key="`d${i}`">
      <span v-drag="blockDrag(i, piece)" class="block drawn" :style="style"
        ><span>{{ title }}</span></span
      >
      <span
        v-for="{ edge, at, left } in edges"
        :key="edge"
        v-drag="edgeDrag(i, edge)"
        class="handle"
        role="slider"
        tabindex="0"
        :style="{ left }"
        :aria-label="edge === 'from' ? t('tape.beginning') : t('tape.end')"
        :aria-valuenow="at"
        :aria-valuetext="clock(at)"
        @keydown="onKey($event, i, edge, at)"
        ><b class="figure" :class="edge">{{ clock(edge === 'from' ? piece.from : at) }}</b></span
      >
    </template>
    <span v-if="now !== null" class="now" :style="{ left: percent(scale.place(now)) }"></span>
  </div>
</template>

<style scoped lang="scss">
.tape {
  position: relative;
  height: 112px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  overflow: hidden;
  touch-action: none;
}
.planned {
  position: absolute;
  top: 8px;
  height: 4px;
  background: var(--line);
}
.shift {
  position: absolute;
  top: 92px;
  height: 3px;
  background: var(--ink);
}
.break {
  position: absolute;
  top: 55px;
  height: 3px;
  background: var(--indirect);
}
.block,
.gap {
  position: absolute;
  top: 30px;
  height: 52px;
  padding: 0 8px 0 10px;
  overflow: hidden;
  border: 0;
  color: var(--ink);
  font-size: var(--text-s);
  font-weight: 600;
  text-align: left;
  white-space: nowrap;
}
.block {
  background-color: color-mix(in srgb, var(--tint) var(--tint-share), var(--sheet));
  box-shadow:
    inset 4px 0 var(--tint),
    inset -1px 0 var(--sheet);
  &.setup {
    background-image: repeating-linear-gradient(
      -45deg,
      transparent 0 4px,
      color-mix(in srgb, var(--tint) 40%, transparent) 4px 6px
    );
  }
  &.rework {
    background-image: radial-gradient(circle at 3px 3px, var(--tint) 1px, transparent 1.5px);
    background-size: 6px 6px;
  }
  &.torn {
    clip-path: polygon(0 0, 100% 0, calc(100% - 8px) 25%, 100% 50%, calc(100% - 8px) 75%, 100% 100%, 0 100%);
  }
}
.gap {
  background: none;
  border: 2px dashed var(--attention);
}
.drawn {
  background: var(--action);
  box-shadow: none;
  color: var(--action-ink);
  cursor: grab;
  touch-action: none;
  line-height: 52px;
}
.handle {
  position: absolute;
  top: 18px;
  z-index: 2;
  width: 24px;
  height: 76px;
  margin-left: -12px;
  cursor: ew-resize;
  touch-action: none;
  &::after {
    position: absolute;
    top: 0;
    bottom: 0;
    left: 10px;
    width: 4px;
    background: var(--ink);
    content: '';
  }
  b {
    position: absolute;
    top: -15px;
    font-size: var(--text-s);
    &.from {
      right: 12px;
    }
    &.to {
      left: 12px;
    }
  }
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--attention);
  pointer-events: none;
}
</style>
