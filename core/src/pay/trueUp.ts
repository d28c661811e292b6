import { itemAt } from '../result/index.ts';
import { laborCost, shareByWeight, sumCents, toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import type { LineTrueUp } from '../ledger/index.ts';
import { costRateOn } from '../people/index.ts';
import type { CostRate } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';
import type { ClosedLine } from './adjustments.ts';

/** What payroll really paid for somebody's period beyond what it was costed at: on the lines of the period, and what is left
 *  where there are none. Together they are the difference. */
export type TrueUp = { readonly lines: readonly LineTrueUp[]; readonly overhead: Cents };

/** Paid seconds of somebody on a day that are no job's. */
type DaySeconds = { readonly day: LocalDay; readonly seconds: number };

/** What somebody is paid that is no job's, in cents: time away and time on nothing, each at its cost rate, rounded once, and
 *  overtime that no line bears (`unborne`). Seconds below nothing were taken back. Where no rate holds nothing is known of
 *  it. Source: docs/pay.md, what payroll really paid. */
export function notJobsCost(
  seconds: readonly DaySeconds[],
  rates: readonly CostRate[],
  unborne: number,
): Cents {
  const costs = seconds.map(({ day, seconds: own }) => {
    const rate = costRateOn(rates, day);
    return rate === undefined ? 0 : Math.sign(own) * laborCost(toSeconds(Math.abs(own)), rate);
  });
  return toCents(costs.reduce((sum, cost) => sum + cost, unborne));
}

/** Shares what payroll really paid over one person's lines of a closed period. Off the amount goes what is no job's
 *  (`notJobs`: time away, time on nothing, overtime that no line bears) and what the period's lines were costed at, with the
 *  adjustments that it paid; the rest, above or below nothing, is shared by straight cents, or by seconds where nothing has
 *  any. A line without a rate counts as nothing. Source: docs/pay.md, what payroll really paid. */
export function trueUpOf(
  amount: Cents,
  notJobs: Cents,
  lines: readonly ClosedLine[],
  adjustments: readonly ClosedLine[],
): TrueUp {
  const rest = amount - notJobs - sumCents([...lines, ...adjustments]);
  const own = lines.filter(({ seconds }) => seconds > 0);
  if (rest === 0) return { lines: [], overhead: toCents(0) };
  if (own.length === 0) return { lines: [], overhead: toCents(rest) };
  const straight = own.map(({ cost, premium }) => Math.max(0, (cost ?? 0) - (premium ?? 0)));
  const weights = straight.some((cents) => cents > 0) ? straight : own.map(({ seconds }) => seconds);
  const shares = shareByWeight(Math.abs(rest), weights);
  return {
    lines: own
      .map(({ shiftDay, day, target, workType }, i): LineTrueUp => ({
        ...{ shiftDay, day, target, workType },
        trueUp: toCents(itemAt(shares, i) * Math.sign(rest) + 0),
      }))
      .filter(({ trueUp }) => trueUp !== 0),
    overhead: toCents(0),
  };
}
