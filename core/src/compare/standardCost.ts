import type { TargetId } from '../ledger/index.ts';
import { laborCost, toCents } from '../money/index.ts';
import type { Cents, Rate } from '../money/index.ts';
import { costRateOn } from '../people/index.ts';
import type { CostRate, TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';

/** The grade that a technician's rate records name from a day on; `null` where a record names none. */
export type NamedGrade = { readonly from: LocalDay; readonly grade: string | null };

/** What standard cost is made of. No person's rate is among it. */
export type StandardFacts = {
  /** Grades by technician, sorted by day. */
  readonly gradesOf: ReadonlyMap<TechnicianId, readonly NamedGrade[]>;
  /** Standard rates by grade, sorted by day. */
  readonly gradeRates: ReadonlyMap<string, readonly CostRate[]>;
};

/** The standard rate of a technician's hour on a day: that of the grade that their rate record names then. Without one the
 *  rate that the task keeps; an activity keeps none. Source: docs/ledger.md, section 6, standard cost. */
export function standardRateOn(
  { gradesOf, gradeRates }: StandardFacts,
  technician: TechnicianId,
  day: LocalDay,
  kept: Rate | undefined,
): Rate | undefined {
  const grade = gradesOf.get(technician)?.findLast(({ from }) => from <= day)?.grade;
  const rates = grade == null ? undefined : gradeRates.get(grade);
  return (rates && costRateOn(rates, day)) ?? kept;
}

type Costed = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly day: LocalDay;
  /** Less than none where time was taken back. */
  readonly seconds: number;
  readonly cost: Cents | null;
  readonly premium?: Cents | undefined;
  readonly trueUp?: Cents | undefined;
};

/** Lines with their standard cost in the place of what they really cost, rounded once a line; `null` where no standard
 *  rate holds. Neither overtime nor payroll adds anything to it. For whoever may not see rates: nothing of it depends on what a person is paid.
 *  Source: docs/ledger.md, section 6, standard cost. */
export const atStandardCost = <Line extends Costed>(
  lines: readonly Line[],
  facts: StandardFacts,
  keptRateOf: (target: TargetId) => Rate | undefined,
): Line[] =>
  lines.map((line) => {
    const rate = standardRateOn(facts, line.technician, line.day, keptRateOf(line.target));
    const cost = rate === undefined ? null : laborCost(toSeconds(line.seconds), rate);
    return {
      ...line,
      ...(line.premium === undefined ? {} : { premium: toCents(0) }),
      ...(line.trueUp === undefined ? {} : { trueUp: toCents(0) }),
      cost,
    };
  });
