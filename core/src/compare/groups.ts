import { groupBy } from '../result/index.ts';
import { CAUSES, sumDifferences } from './causes.ts';
import type { Cause, CausedDifference, CauseShare } from './causes.ts';

/** Things of one key with what they differ by together. */
export type DifferenceGroup<Item> = {
  readonly key: string;
  readonly items: readonly Item[];
  readonly difference: CausedDifference;
};

/** Groups what differs by a key; the groups add up to the whole. Most over first, in money, then in hours, then by key.
 *  Source: docs/compare.md, section 3. */
export function groupDifferences<Item>(
  items: readonly Item[],
  keyOf: (item: Item) => string,
  differenceOf: (item: Item) => CausedDifference,
): readonly DifferenceGroup<Item>[] {
  return [...groupBy(items, keyOf)]
    .map(([key, own]) => ({ key, items: own, difference: sumDifferences(own.map(differenceOf)) }))
    .sort((a, b) => mostOver(a.difference, b.difference) || (a.key < b.key ? -1 : 1));
}

/** Orders differences: most over first, in money, and where that is the same in hours. */
export const mostOver = (a: CausedDifference, b: CausedDifference): number =>
  b.difference - a.difference || b.differenceSeconds - a.differenceSeconds;

/** Most causes that a sentence names. */
const NAMED = 2;
/** A cause lies at one task where this much of it does. */
const AT_ONE = 2 / 3;

/** A cause that counts, and the one task that it lies at; `null` where it is spread. */
export type MainCause = CauseShare & { readonly task: string | null };

const sizeOf = ({ cents, seconds }: Pick<CauseShare, 'cents' | 'seconds'>): number =>
  cents === 0 ? Math.abs(seconds) / 3600 : Math.abs(cents);

/** The causes that count most of what a job differs by, the largest first; a second one only where it is at least a third
 *  of the first. Source: docs/compare.md, section 3. */
export function mainCauses(
  job: CausedDifference,
  tasks: readonly { readonly title: string; readonly difference: CausedDifference }[],
): readonly MainCause[] {
  const sorted = [...job.causes].sort(
    (a, b) => sizeOf(b) - sizeOf(a) || CAUSES.indexOf(a.cause) - CAUSES.indexOf(b.cause),
  );
  const [first] = sorted;
  if (!first) return [];
  return sorted
    .filter((each) => sizeOf(each) * 3 >= sizeOf(first))
    .slice(0, NAMED)
    .map((each) => ({ ...each, task: taskOf(each, tasks) }));
}

/** The one task that has the greater part of a cause. */
function taskOf(
  { cause, cents, seconds }: CauseShare,
  tasks: readonly { readonly title: string; readonly difference: CausedDifference }[],
): string | null {
  const shareOf = (of: CausedDifference, named: Cause) => {
    const own = of.causes.find((each) => each.cause === named);
    return own ? (cents === 0 ? own.seconds : own.cents) : 0;
  };
  const whole = cents === 0 ? seconds : cents;
  const at = tasks.find(({ difference }) => shareOf(difference, cause) / whole >= AT_ONE);
  return at?.title ?? null;
}
