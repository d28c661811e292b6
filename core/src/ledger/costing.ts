import { laborCost, toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { costRateOn } from '../people/index.ts';
import type { CostRate, TechnicianId } from '../people/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { TargetId } from './entries.ts';
import type { LooseEnd } from './looseEnd.ts';

/** Which of one technician's labor lines. */
type LineKey = { readonly target: TargetId; readonly workType: WorkType; readonly day: LocalDay };
type LineTime = LineKey & { readonly seconds: Seconds };

/** What somebody set the cost of a labor line to, and the seconds that they saw there.
 *  Source: docs/ledger.md, section 6, cost set by hand. */
export type SetCost = LineTime & { readonly cost: Cents };

/** What overtime of one shift day adds to a labor line. Source: docs/pay.md, what a class costs. */
export type LinePremium = LineKey & { readonly shiftDay: LocalDay; readonly premium: Cents };

/** What payroll really paid for labor of one shift day beyond what it was costed at; below zero where it paid less.
 *  Source: docs/pay.md, what payroll really paid. */
export type LineTrueUp = LineKey & { readonly shiftDay: LocalDay; readonly trueUp: Cents };

/** What one technician's labor is costed by: the rates, sorted by date, what was set by hand, what overtime adds, and what
 *  payroll paid beyond. */
export type Costing = {
  readonly rates: readonly CostRate[];
  readonly setCosts: readonly SetCost[];
  readonly premiums?: readonly LinePremium[];
  readonly trueUps?: readonly LineTrueUp[];
  /** Whether time on a target is paid; absent, all is. */
  readonly isPaid?: (target: TargetId) => boolean;
};

const isSameLine = (a: LineKey, b: LineKey): boolean =>
  a.target === b.target && a.workType === b.workType && a.day === b.day;

/** Whether a cost set by hand still holds for a line: only as long as its time is what was seen. */
export const holdsFor = (set: SetCost, line: LineTime): boolean =>
  isSameLine(set, line) && set.seconds === line.seconds;

/** What overtime adds to a labor line, in cents. */
export const premiumOfLine = (line: LineKey, { premiums = [] }: Pick<Costing, 'premiums'>): number =>
  premiums.reduce((sum, each) => (isSameLine(each, line) ? sum + each.premium : sum), 0);

/** What payroll paid for a labor line beyond what it was costed at, in cents. */
export const trueUpOfLine = (line: LineKey, { trueUps = [] }: Pick<Costing, 'trueUps'>): number =>
  trueUps.reduce((sum, each) => (isSameLine(each, line) ? sum + each.trueUp : sum), 0);

/** Straight cost of a labor line in cents: as set by hand where that holds, else its seconds at the rate of its day, rounded
 *  once; `null` where there is neither, and nothing where it is not paid. Source: docs/ledger.md, section 6. */
export function costLine(line: LineTime, { rates, setCosts, isPaid }: Costing): Cents | null {
  if (isPaid && !isPaid(line.target)) return toCents(0);
  const set = setCosts.find((each) => holdsFor(each, line));
  if (set) return set.cost;
  const rate = costRateOn(rates, line.day);
  return rate === undefined ? null : laborCost(line.seconds, rate);
}

/** Costs set by hand that hold no longer, because the time of their line is another now or gone; with that time.
 *  Source: docs/ledger.md, section 8, `cost-changed`. */
export const findIdleCosts = (
  technician: TechnicianId,
  setCosts: readonly SetCost[],
  lines: readonly LineTime[],
): LooseEnd[] =>
  setCosts
    .filter((set) => !lines.some((line) => holdsFor(set, line)))
    .map(({ target, workType, day, seconds }) => ({
      kind: 'cost-changed',
      technician,
      target,
      about: workType,
      entries: [],
      day,
      seconds,
    }));
