import { toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { LocalDay } from '../time/index.ts';
import type { DayClasses } from './payClass.ts';
import type { ShiftLine } from '../ledger/index.ts';

/** What was paid for: seconds and cents of a key that a closed period holds. Both may be negative. */
export type ClosedLine = Omit<ShiftLine, 'seconds' | 'premium'> & {
  readonly seconds: number;
  readonly premium?: Cents | undefined;
};

/** What derivation says now beyond what was closed; negative where it says less. */
export type Adjustment = ClosedLine;

/** How a shift day was paid: seconds of each class, and those on nothing. Any of them may be negative. */
export type ClosedClasses = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
} & Readonly<Record<keyof DayClasses, number>>;

const keyOf = ({ technician, shiftDay, day, target, workType }: ClosedLine): string =>
  [technician, shiftDay, day, target, workType].join(' ');

/** Derived − closed, key by key, only where they differ: what a late scan, a correction of a reopened day or a changed
 *  rate adds to closed days, or takes from them. Closed lines and adjustments together are what was derived. A cost of
 *  `null` (no rate) counts as nothing; an adjustment's is `null` where neither side has any.
 *  Source: docs/ledger.md, section 9. */
export function adjustmentsOf(
  derived: readonly ShiftLine[],
  closed: readonly ClosedLine[],
): readonly Adjustment[] {
  const sums = new Map<string, { line: ClosedLine; seconds: number; cost: number; hasCost: boolean }>();
  const add = (line: ClosedLine, sign: 1 | -1) => {
    const key = keyOf(line);
    const sum = sums.get(key) ?? { line, seconds: 0, cost: 0, hasCost: false };
    sum.seconds += sign * line.seconds;
    sum.cost += sign * (line.cost ?? 0);
    sum.hasCost ||= line.cost !== null;
    sums.set(key, sum);
  };
  for (const line of derived) add(line, 1);
  for (const line of closed) add(line, -1);
  return [...sums.values()].flatMap(({ line: { premium: _ofOneSide, ...line }, seconds, cost, hasCost }) =>
    seconds === 0 && cost === 0 ? [] : [{ ...line, seconds, cost: hasCost ? toCents(cost) : null }],
  );
}
