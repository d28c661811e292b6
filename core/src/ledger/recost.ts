import { laborCost } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { costRateOn } from '../people/index.ts';
import type { CostRate } from '../people/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';

/** What of a labor line its cost depends on. */
type CostedLine = { readonly day: LocalDay; readonly seconds: Seconds; readonly cost: Cents | null };

/** What one person's labor lines would cost by other rates, beside what they cost now. Each line is costed once, as it
 *  would be if it were derived anew; hours do not change. A line on whose day no rate holds has no cost.
 *  Source: docs/ledger.md, section 9. */
export const recost = <Line extends CostedLine>(
  lines: readonly Line[],
  rates: readonly CostRate[],
): readonly (Line & { readonly after: Cents | null })[] =>
  lines.map((line) => {
    const rate = costRateOn(rates, line.day);
    return { ...line, after: rate === undefined ? null : laborCost(line.seconds, rate) };
  });
