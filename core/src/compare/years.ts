import { sumCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import type { LaborLine } from '../ledger/index.ts';
import { formatDay, sumSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';

/** What a year's work came to: on how many orders, in seconds and cents. */
export type YearOfWork = {
  readonly year: number;
  readonly orders: number;
  readonly usedSeconds: Seconds;
  readonly cost: Cents;
};

type Line = Pick<LaborLine, 'day' | 'seconds' | 'cost'>;

/** Labor by the calendar year in which it was done, the last one first. An order that was worked on in two years counts
 *  in both. Lines without a rate add no cost. */
export function yearsOfWork(orders: readonly { readonly lines: readonly Line[] }[]): readonly YearOfWork[] {
  const years = new Map<number, { orders: number; lines: Line[] }>();
  for (const { lines } of orders) {
    const seen = new Set<number>();
    for (const line of lines) {
      const year = Number(formatDay(line.day).slice(0, 4));
      const of = years.get(year) ?? { orders: 0, lines: [] };
      years.set(year, of);
      of.lines.push(line);
      if (!seen.has(year)) of.orders += 1;
      seen.add(year);
    }
  }
  return [...years]
    .map(([year, { orders: count, lines }]) => ({
      year,
      orders: count,
      usedSeconds: sumSeconds(lines),
      cost: sumCents(lines),
    }))
    .sort((a, b) => b.year - a.year);
}
