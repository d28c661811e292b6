import { itemAt } from '../result/index.ts';
import { allocateStint, isPaidTarget } from '../ledger/index.ts';
import type { HoursEntry, LedgerFacts, Presence, Stint, TargetId } from '../ledger/index.ts';
import { cutAtDays, merge, subtract, sumSeconds, toInstant, toSeconds } from '../time/index.ts';
import type { Instant, LocalDay, Seconds, Zone } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import { highestOf, isPayClass } from './payClass.ts';
import type { PayClass } from './payClass.ts';

/** What of a portion one target gets. */
export type PortionShare = {
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly seconds: Seconds;
};

/** Paid seconds of one technician that are classed as one; without shares they are unallocated: attended, and on nothing.
 *  The shares add up to the seconds. Source: docs/pay.md, paid seconds. */
export type Portion = {
  readonly shiftDay: LocalDay;
  /** The calendar day it lies in. */
  readonly day: LocalDay;
  readonly seconds: Seconds;
  readonly shares: readonly PortionShare[];
  /** What the entries themselves say of how it is paid. */
  readonly own: PayClass;
};

/** Whether what is charged is paid, or what was attended as well. */
export const PAY_BASES = ['labor', 'attended'] as const;
export type PayBasis = (typeof PAY_BASES)[number];

/** One technician's time, each list in order of time, hours in the order of recording. */
export type PaidTime = {
  readonly stints: readonly Stint[];
  readonly shifts: readonly Presence[];
  readonly breaks: readonly Presence[];
  readonly hours: readonly HoursEntry[];
};

type Timed = Portion & { readonly from: Instant };

/** One technician's paid seconds in the order in which they are classed: by shift day, within it stints and unallocated
 *  time by their beginning, then what was written down. Source: docs/pay.md, paid seconds. */
export function portionsOf(time: PaidTime, facts: LedgerFacts, basis: PayBasis): readonly Portion[] {
  const timed: Timed[] = time.stints.flatMap((stint) => portionsOfStint(stint, facts));
  if (basis === 'attended') timed.push(...unallocated(time, facts.zone));
  const written = time.hours.flatMap((entry) => portionOfHours(entry, facts));
  return [
    // Both sorts keep what is equal in its order.
    ...timed.sort((a, b) => a.from - b.from).map(({ from: _from, ...portion }) => portion),
    ...written,
  ].sort((a, b) => a.shiftDay - b.shiftDay);
}

const ownClass = (classes: readonly (string | undefined)[]): PayClass =>
  highestOf(classes.filter(isPayClass));

function portionsOfStint(stint: Stint, facts: LedgerFacts): Timed[] {
  const paid = stint.running.filter(({ target }) => isPaidTarget(facts, target));
  if (paid.length === 0) return [];
  const own = ownClass(paid.map(({ payClass }) => payClass));
  const portions = new Map<Instant, Timed>();
  for (const { from, day, shiftDay, target, workType, seconds } of allocateStint(stint, facts)) {
    if (!isPaidTarget(facts, target)) continue;
    const before = portions.get(from);
    const shares = [...(before?.shares ?? []), { target, workType, seconds }];
    portions.set(from, { from, day, shiftDay, own, shares, seconds: sumSeconds(shares) });
  }
  return [...portions.values()];
}

const portionOfHours = (entry: HoursEntry, facts: LedgerFacts): Portion[] => {
  const { day, seconds, workType = 'run', payClass } = entry;
  const target = itemAt(entry.targets, 0);
  if (!isPaidTarget(facts, target)) return [];
  return [
    { shiftDay: day, day, seconds, own: ownClass([payClass]), shares: [{ target, workType, seconds }] },
  ];
};

/** Attended time that is on nothing and that nobody need decide on first: without as many of the first seconds of a shift
 *  day as were written down for it, without what follows on a stint that was cut, and without what lasts until a shift
 *  ends that was never ended. */
function unallocated({ stints, shifts, breaks, hours }: PaidTime, zone: Zone): Timed[] {
  const taken = merge([...stints, ...breaks].sort((a, b) => a.from - b.from));
  const cuts = new Set(stints.filter(({ capped }) => capped).map(({ to }) => to));
  const written = new Map<LocalDay, number>();
  for (const { day, seconds } of hours) written.set(day, (written.get(day) ?? 0) + seconds);
  return shifts.flatMap((shift) => {
    const shiftDay = zone.dayAt(shift.from);
    return subtract([shift], taken).flatMap((stretch) => {
      const explained = Math.min(written.get(shiftDay) ?? 0, stretch.to - stretch.from);
      written.set(shiftDay, (written.get(shiftDay) ?? 0) - explained);
      const isUndecided = cuts.has(stretch.from) || (shift.capped && stretch.to === shift.to);
      if (isUndecided) return [];
      const left = { from: toInstant(stretch.from + explained), to: stretch.to };
      return cutAtDays(left, zone).map(({ from, to, day }): Timed => ({
        from,
        day,
        shiftDay,
        seconds: toSeconds(to - from),
        shares: [],
        own: 'straight',
      }));
    });
  });
}
