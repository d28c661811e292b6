import { itemAt } from '../result/index.ts';
import type { Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** The textures of a yardstick: setup hatched, rework dotted, all other work plain. */
export type YardstickFill = 'setup' | 'run' | 'rework';

/** A bar on a scale where the estimate always stands at two thirds. Shares are of the whole width, 0 to 1.
 *  Source: docs/look.md, yardstick. */
export type Yardstick = {
  /** Nothing to measure against: neither notch nor bar. */
  readonly hasScale: boolean;
  readonly notch: number;
  /** What is drawn, from the left; a stretch never spans the notch, so that what is over can be drawn as over. */
  readonly stretches: readonly {
    readonly fill: YardstickFill;
    readonly from: number;
    readonly to: number;
    readonly isOver: boolean;
  }[];
  /** How many times the estimate, where the bar runs off the scale and ends torn. */
  readonly tornAt: number | null;
};

const NOTCH = 2 / 3;
/** The most that fits: one and a half times the estimate. */
const SCALE_END = 1 / NOTCH;

const fillOf = (workType: WorkType): YardstickFill =>
  workType === 'setup' || workType === 'rework' ? workType : 'run';

/** Lays used seconds by work type out on the scale of an estimate. An estimate of 0 is all over: the bar starts at
 *  the notch and runs off the scale. Without an estimate (`null`) there is no scale. */
export function drawYardstick(
  estimated: Seconds | null,
  used: readonly { readonly workType: WorkType; readonly seconds: Seconds }[],
): Yardstick {
  if (estimated === null) return { hasScale: false, notch: NOTCH, stretches: [], tornAt: null };
  const order: readonly YardstickFill[] = ['setup', 'run', 'rework'];
  const totals = order.map((fill) =>
    used.reduce((sum, { workType, seconds }) => (fillOf(workType) === fill ? sum + seconds : sum), 0),
  );
  const total = totals.reduce((a, b) => a + b, 0);
  const times = estimated > 0 ? total / estimated : total > 0 ? Infinity : 0;
  const place = (seconds: number) =>
    estimated > 0 ? Math.min(seconds / estimated, SCALE_END) * NOTCH : seconds > 0 ? 1 : NOTCH;
  const stretches: Yardstick['stretches'][number][] = [];
  let reached = 0;
  order.forEach((fill, i) => {
    const from = place(reached);
    reached += itemAt(totals, i);
    const to = place(reached);
    if (from < NOTCH && from < to) stretches.push({ fill, from, to: Math.min(to, NOTCH), isOver: false });
    if (to > NOTCH && from < to) stretches.push({ fill, from: Math.max(from, NOTCH), to, isOver: true });
  });
  return { hasScale: true, notch: NOTCH, stretches, tornAt: times > SCALE_END ? times : null };
}
