import { fraction, multiplyFractions, roundFraction } from '../money/index.ts';
import type { Fraction } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';
import type { EstimateHours, WorkType } from '../work/index.ts';

/** What of a task's estimate is setup, and what a piece takes of its run time, in exact seconds. Setup that the order's
 *  estimate does not include is none. Source: docs/compare.md, section 1. */
export function estimateParts(
  { setupHours = fraction(0n), runHoursPerPiece = fraction(0n) }: EstimateHours,
  includes: ReadonlySet<WorkType>,
): { readonly setupSeconds: Seconds; readonly perPiece: Fraction } {
  const seconds = (hours: Fraction) => multiplyFractions(hours, fraction(3600n));
  return {
    setupSeconds: toSeconds(includes.has('setup') ? Number(roundFraction(seconds(setupHours))) : 0),
    perPiece: seconds(runHoursPerPiece),
  };
}
