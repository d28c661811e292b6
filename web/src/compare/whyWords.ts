import type { Cause, CausedDifference, CauseShare, DifferenceUnit, MainCause } from '@wergon/core/compare';
import { formatCents, toCents } from '@wergon/core/money';
import { t } from '../words/index.ts';

export type Says = {
  readonly money: (amount: string) => string;
  readonly hours: (seconds: number) => string;
};

const sign = (value: number): string => (value < 0 ? '−' : value > 0 ? '+' : '');
const sayCents = (cents: number, { money }: Says): string => money(formatCents(toCents(Math.abs(cents))));
/** An amount in cents, or a length in seconds, with its sign before it. */
export const sayMoneyMore = (cents: number, says: Says): string => `${sign(cents)}${sayCents(cents, says)}`;
export const sayHoursMore = (seconds: number, { hours }: Says): string =>
  `${sign(seconds)}${hours(Math.abs(seconds))}`;

/** Figures as shares, `103 %`; nothing where there is nothing to divide by. */
export const sayShare = (part: number, whole: number): string =>
  whole === 0 ? '' : `${Math.round((part * 100) / whole)} %`;

const bySize = (a: CauseShare, b: CauseShare): number => Math.abs(b.cents) - Math.abs(a.cents);

/** Why, in a few words: the largest first; of time in hours, of what an hour costs in money. */
export const sayWhy = (causes: readonly CauseShare[], says: Says): string =>
  [...causes]
    .sort(bySize)
    .map(
      ({ cause, seconds, cents }) =>
        `${t(`causes.${cause}`)} ${seconds === 0 ? sayMoneyMore(cents, says) : sayHoursMore(seconds, says)}`,
    )
    .join(', ');

/** So many causes stand beside the bar of a group. */
const BESIDE = 2;
/** The same of the largest alone, for a line beside a bar. */
export const sayLargest = (causes: readonly CauseShare[], says: Says): string =>
  sayWhy([...causes].sort(bySize).slice(0, BESIDE), says);

/** Figures that rest on fewer tasks than this say on how many. */
export const FEW_TASKS = 8;

/** The cause that counts most; nothing where there is none. */
export const largestCause = (causes: readonly CauseShare[]): CauseShare | undefined =>
  [...causes].sort(bySize)[0];

/** A job is as estimated where it differs by no more than this share of its estimate. */
const HELD_PERCENT = 2;

/** Why a job differs, as a sentence: what counts most, and where. */
export function sayMain(job: CausedDifference, main: readonly MainCause[], says: Says): string {
  if (main.length === 0) return t('compare.asEstimated');
  if (job.expectedCost > 0 && Math.abs(job.difference) * 100 <= HELD_PERCENT * job.expectedCost)
    return t('compare.held', { percent: HELD_PERCENT });
  return main
    .map(({ cause, cents, seconds, task }) => {
      const figures = { hours: says.hours(Math.abs(seconds)), money: sayCents(cents, says) };
      const isMore = cents > 0 || (cents === 0 && seconds > 0);
      const words = isMore ? t(`causeMore.${cause}`, figures) : t(`causeLess.${cause}`, figures);
      return task === null ? words : t('compare.atTask', { words, task });
    })
    .join(', ');
}

/** One bar of the bridge from what was estimated to what was used. */
export type BridgeBar = {
  readonly id: 'estimated' | 'actual' | Cause;
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly said: string;
};

/** The bridge from estimated to actual, in cents or seconds: each cause begins where the one before it ended. What goes on
 *  is held against no more of its estimate than was used. */
export function bridgeOf(against: CausedDifference, unit: DifferenceUnit, says: Says): BridgeBar[] {
  const valueOf = ({ seconds, cents }: CauseShare) => (unit === 'money' ? cents : seconds);
  const start = unit === 'money' ? against.expectedCost : against.expectedSeconds;
  const end = start + (unit === 'money' ? against.difference : against.differenceSeconds);
  const sayWhole = (value: number) => (unit === 'money' ? sayCents(value, says) : says.hours(value));
  const sayPart = (value: number) =>
    unit === 'money' ? sayMoneyMore(value, says) : sayHoursMore(value, says);
  let at: number = start;
  const parts = against.causes
    .filter((cause) => valueOf(cause) !== 0)
    .map((cause): BridgeBar => {
      const from = at;
      at += valueOf(cause);
      return {
        id: cause.cause,
        name: t(`causes.${cause.cause}`),
        from,
        to: at,
        said: sayPart(valueOf(cause)),
      };
    });
  const whole = (id: 'estimated' | 'actual', name: string, value: number): BridgeBar => ({
    id,
    name,
    from: 0,
    to: value,
    said: sayWhole(value),
  });
  const estimated = t(against.isFinished ? 'compare.estimatedBar' : 'compare.estimatedSoFarBar');
  return [whole('estimated', estimated, start), ...parts, whole('actual', t('compare.actualBar'), end)];
}
