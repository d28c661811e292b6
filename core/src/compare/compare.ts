import { toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';
import type { LaborLine } from '../ledger/index.ts';
import type { WorkType } from '../work/index.ts';

/** What was expected of a task. `includes` are the work types its order's estimate covers. */
export type Expected = {
  readonly estimatedSeconds: Seconds;
  readonly estimatedCost: Cents;
  readonly includes: ReadonlySet<WorkType>;
  readonly isFinished: boolean;
};

/** Actual against estimate. An order's comparison is the sum of its tasks', so it may have hours left on some and be
 *  over on others. Source: docs/ledger.md, section 6, compare. */
export type Comparison = {
  readonly estimatedSeconds: Seconds;
  readonly actualSeconds: Seconds;
  readonly outsideSeconds: Seconds;
  readonly remainingSeconds: Seconds;
  readonly overSeconds: Seconds;
  readonly underSeconds: Seconds;
  readonly estimatedCost: Cents;
  readonly actualCost: Cents;
  readonly outsideCost: Cents;
  readonly costDifference: Cents;
  /** Lines whose cost is not known for want of a rate; the costs above leave them out. */
  readonly uncostedLines: number;
};

type Sums = { seconds: number; cost: number; uncosted: number };

function sumOf(lines: readonly LaborLine[]): Sums {
  const sums = { seconds: 0, cost: 0, uncosted: 0 };
  for (const { seconds, cost } of lines) {
    sums.seconds += seconds;
    if (cost === null) sums.uncosted += 1;
    else sums.cost += cost;
  }
  return sums;
}

/** Compares a task's lines with what was expected of it. */
export function compareTask(expected: Expected, lines: readonly LaborLine[]): Comparison {
  const { estimatedSeconds, estimatedCost, includes, isFinished } = expected;
  const actual = sumOf(lines.filter(({ workType }) => includes.has(workType)));
  const outside = sumOf(lines.filter(({ workType }) => !includes.has(workType)));
  const left = toSeconds(Math.max(0, estimatedSeconds - actual.seconds));
  const none = toSeconds(0);
  return {
    estimatedSeconds,
    actualSeconds: toSeconds(actual.seconds),
    outsideSeconds: toSeconds(outside.seconds),
    remainingSeconds: isFinished ? none : left,
    overSeconds: toSeconds(Math.max(0, actual.seconds - estimatedSeconds)),
    underSeconds: isFinished ? left : none,
    estimatedCost,
    actualCost: toCents(actual.cost),
    outsideCost: toCents(outside.cost),
    costDifference: toCents(actual.cost - estimatedCost),
    uncostedLines: actual.uncosted + outside.uncosted,
  };
}

/** The sum of comparisons, figure by figure; all zero for none. */
export function sumComparisons(comparisons: readonly Comparison[]): Comparison {
  const sum = (figure: keyof Comparison) => comparisons.reduce((total, each) => total + each[figure], 0);
  return {
    estimatedSeconds: toSeconds(sum('estimatedSeconds')),
    actualSeconds: toSeconds(sum('actualSeconds')),
    outsideSeconds: toSeconds(sum('outsideSeconds')),
    remainingSeconds: toSeconds(sum('remainingSeconds')),
    overSeconds: toSeconds(sum('overSeconds')),
    underSeconds: toSeconds(sum('underSeconds')),
    estimatedCost: toCents(sum('estimatedCost')),
    actualCost: toCents(sum('actualCost')),
    outsideCost: toCents(sum('outsideCost')),
    costDifference: toCents(sum('costDifference')),
    uncostedLines: sum('uncostedLines'),
  };
}
