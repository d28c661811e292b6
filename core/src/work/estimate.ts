import { addFractions, fraction, laborCost, multiplyFractions, roundFraction } from '../money/index.ts';
import type { Cents, Fraction, Rate } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';

/** What a task is expected to take, in exact hours; what is left out is none. */
export type EstimateHours = {
  readonly setupHours?: Fraction | undefined;
  readonly runHours?: Fraction | undefined;
  readonly runHoursPerPiece?: Fraction | undefined;
};

/** Estimated seconds of a task: setup + fixed run + run per piece × quantity, rounded once.
 *  Source: docs/ledger.md, section 6, estimate. */
export function estimateSeconds(hours: EstimateHours, quantity: number): Seconds {
  const none = fraction(0n);
  const perPiece = multiplyFractions(hours.runHoursPerPiece ?? none, fraction(BigInt(quantity)));
  const total = addFractions(addFractions(hours.setupHours ?? none, hours.runHours ?? none), perPiece);
  return toSeconds(Number(roundFraction(multiplyFractions(total, fraction(3600n)))));
}

/** Estimated cost of a task at its grade's standard rate, rounded once to cents. */
export const estimateCost = (estimated: Seconds, standardRate: Rate): Cents =>
  laborCost(estimated, standardRate);
