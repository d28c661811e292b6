import { formatHours, formatLeft, isSaidLength, sumSeconds, toSeconds } from '../time/index.ts';
import type { HoursStyle, Seconds } from '../time/index.ts';

/** What work comes to against its estimate, as one length and what it is. */
export type Balance = {
  readonly kind: 'over' | 'left' | 'under' | 'even' | 'used';
  readonly length: Seconds;
};

/** Lengths of one or more tasks against their estimates; `under` only of finished work. Without an estimate `left` and
 *  `over` are absent. */
export type BalanceInput = {
  readonly used: Seconds;
  readonly left: Seconds | null;
  readonly over: Seconds | null;
  readonly under?: Seconds;
};

/** Whether work is past its estimate by as much as is said, a minute. */
export const isPastEstimate = (over: number | null): boolean => over !== null && isSaidLength(over);

/** Over as soon as it is true by a minute, under only of what is finished, else what is left; without an estimate what
 *  was used. An order that is over on one task may have hours left on others: over is what it comes to then.
 *  Source: docs/ledger.md, section 6. */
export function balanceOf({ used, left, over, under = toSeconds(0) }: BalanceInput): Balance {
  if (left === null || over === null) return { kind: 'used', length: used };
  if (isPastEstimate(over)) return { kind: 'over', length: over };
  if (left > 0) return { kind: 'left', length: left };
  if (under > 0) return { kind: 'under', length: under };
  return { kind: 'even', length: toSeconds(0) };
}

/** Whether unfinished work has used so much of its estimate that it runs low: `warnAt` percent of it or more, while
 *  something is left. What is finished has nothing left. Source: docs/ledger.md, section 6. */
export const isLow = ({ used, left, over }: Omit<BalanceInput, 'under'>, warnAt: number): boolean =>
  left !== null && left > 0 && !isPastEstimate(over) && used * 100 >= warnAt * (used + left);

/** From how many used seconds on a task runs low by that, or, for what is past its estimate, has used all of it.
 *  Source: docs/compare.md, section 7. */
export const nearFrom = (estimated: Seconds, warnAt: number, isPast: boolean): Seconds =>
  isPast ? estimated : toSeconds(Math.ceil((estimated * warnAt) / 100));

/** The length of a balance as people read it: what is left rounded up, all else as a clock cuts it. */
export const formatBalance = ({ kind, length }: Balance, style: HoursStyle): string =>
  kind === 'left' ? formatLeft(length, style) : formatHours(length, style);

/** What the tasks of an order come to: how far all that was used is past all that was estimated (below 0: how much is
 *  left of it), how many tasks are past theirs and by how much in all, and what is left or was not needed on the others. */
export type OrderBalance = {
  readonly net: Seconds;
  readonly tasksOver: number;
  readonly over: Seconds;
  readonly left: Seconds;
  readonly under: Seconds;
};

/** Sums over the tasks of one order. Tasks that are over by less than a minute count as over by nothing, in words; the sums
 *  hold every second. */
export function balanceOfTasks(
  tasks: readonly {
    readonly overSeconds: Seconds;
    readonly remainingSeconds: Seconds;
    readonly underSeconds: Seconds;
  }[],
): OrderBalance {
  const sum = (of: (task: (typeof tasks)[number]) => Seconds) =>
    sumSeconds(tasks.map((task) => ({ seconds: of(task) })));
  const over = sum(({ overSeconds }) => overSeconds);
  const left = sum(({ remainingSeconds }) => remainingSeconds);
  const under = sum(({ underSeconds }) => underSeconds);
  return {
    net: toSeconds(over - left - under),
    tasksOver: tasks.filter(({ overSeconds }) => isPastEstimate(overSeconds)).length,
    over,
    left,
    under,
  };
}
