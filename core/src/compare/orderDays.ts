import type { LaborLine, TargetId } from '../ledger/index.ts';
import { sumCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { sumSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { Pieces } from './pieces.ts';

/** Pieces that were reported of a task on a day. */
export type DayCount = Pieces & { readonly target: TargetId; readonly day: LocalDay };

/** What was done on one task on one day: by how many heads, in how many man-hours, with which pieces. */
export type TaskDay<Line> = {
  readonly target: TargetId;
  readonly lines: readonly Line[];
  readonly heads: number;
  readonly seconds: Seconds;
  readonly cost: Cents;
  readonly pieces: Pieces | null;
};
export type OrderDay<Line> = {
  readonly day: LocalDay;
  readonly tasks: readonly TaskDay<Line>[];
  /** People who worked on any of it, each once. */
  readonly heads: number;
  readonly seconds: Seconds;
  readonly cost: Cents;
};

const headsOf = (lines: readonly { readonly technician: string | null }[]): number =>
  new Set(lines.map(({ technician }) => technician)).size;
const sumPieces = (counts: readonly Pieces[]): Pieces | null =>
  counts.length === 0
    ? null
    : {
        good: counts.reduce((sum, { good }) => sum + good, 0),
        scrap: counts.reduce((sum, { scrap }) => sum + scrap, 0),
      };

/** What was done on an order, day by day, each with its tasks in the order's order; man-hours are sums over heads, and days
 *  add up to the order. Days on which pieces alone were reported are among them. Source: docs/compare.md, section 8. */
export function orderDays<
  Line extends Pick<LaborLine, 'target' | 'day' | 'seconds' | 'cost'> & {
    readonly technician: string | null;
  },
>(
  targets: readonly TargetId[],
  lines: readonly Line[],
  counts: readonly DayCount[],
): readonly OrderDay<Line>[] {
  const days = [...new Set([...lines, ...counts].map(({ day }) => day))].sort((a, b) => a - b);
  return days.map((day) => {
    const own = lines.filter((line) => line.day === day);
    const tasks = targets.flatMap((target): TaskDay<Line>[] => {
      const ofTask = own.filter((line) => line.target === target);
      const pieces = sumPieces(counts.filter((count) => count.day === day && count.target === target));
      if (ofTask.length === 0 && pieces === null) return [];
      return [
        {
          target,
          lines: ofTask,
          heads: headsOf(ofTask),
          seconds: sumSeconds(ofTask),
          cost: sumCents(ofTask),
          pieces,
        },
      ];
    });
    return { day, tasks, heads: headsOf(own), seconds: sumSeconds(own), cost: sumCents(own) };
  });
}
