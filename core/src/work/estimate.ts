import {
  addFractions,
  fraction,
  laborCost,
  multiplyFractions,
  roundFraction,
  sumCents,
  toCents,
} from '../money/index.ts';
import type { Cents, Fraction, Rate } from '../money/index.ts';
import { toSeconds, sumSeconds } from '../time/index.ts';
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

/** What a task is estimated with: its hours and its grade's standard rate. */
export type EstimatedTask = { readonly hours: EstimateHours; readonly standardRate: Rate };

/** What an order is expected to take, task by task and in sum. `margin` is the price less the labor cost, where there
 *  is a price. */
export type OrderEstimate = {
  readonly tasks: readonly { readonly seconds: Seconds; readonly cost: Cents }[];
  readonly seconds: Seconds;
  readonly cost: Cents;
  readonly margin: Cents | null;
};

/** What is left of a price when the labor is paid; `null` without a price. */
export const marginOf = (price: Cents | null, cost: Cents): Cents | null =>
  price === null ? null : toCents(price - cost);

/** Estimates a whole order. Each task is rounded on its own, so the sum is the sum of what is shown.
 *  Source: docs/ledger.md, section 6, estimate. */
export function estimateOrder(
  tasks: readonly EstimatedTask[],
  quantity: number,
  price: Cents | null,
): OrderEstimate {
  const each = tasks.map(({ hours, standardRate }) => {
    const seconds = estimateSeconds(hours, quantity);
    return { seconds, cost: estimateCost(seconds, standardRate) };
  });
  const cost = sumCents(each);
  return {
    tasks: each,
    seconds: sumSeconds(each),
    cost,
    margin: marginOf(price, cost),
  };
}
