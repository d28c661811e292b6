import { itemAt } from '../result/index.ts';
import { addFractions, fraction, multiplyFractions, roundFraction, toRate } from '../money/index.ts';
import type { Fraction, Rate } from '../money/index.ts';
import type { Brand } from '../result/index.ts';
import type { LocalDay } from '../time/index.ts';

/** A person whose time is tracked. */
export type TechnicianId = Brand<string, 'TechnicianId'>;

/** What the shop pays on top of the base: a percentage of base per hour, an amount per hour, or one per year. */
export type BurdenItem =
  | {
      readonly kind: 'percent';
      readonly value: Fraction;
      /** Whether it is paid on what overtime adds, too. */
      readonly onPremium?: boolean;
    }
  | { readonly kind: 'perHour'; readonly value: Fraction }
  | { readonly kind: 'perYear'; readonly value: Fraction };

/** One dated pay record. `hoursPerYear` is there whenever the base or a burden item is per year. */
export type RateRecord = {
  readonly from: LocalDay;
  readonly per: 'hour' | 'year';
  readonly base: Fraction;
  readonly hoursPerYear?: Fraction;
  readonly burden: readonly BurdenItem[];
  /** Whether somebody with a yearly salary is paid overtime; on an hourly rate it says nothing. */
  readonly overtimePaid?: boolean;
  /** The grade at whose standard rate their work is shown to whoever may not see rates. */
  readonly grade?: string | null;
};

/** The cost of one hour from a day on. */
export type CostRate = { readonly from: LocalDay; readonly rate: Rate };

const divide = (a: Fraction, b: Fraction) => multiplyFractions(a, fraction(b.denominator, b.numerator));

/** Cost per hour of each record: base plus burden, rounded once to 1/10,000, sorted by date. Throws `Defect` when
 *  a per-year amount stands without hours per year. Source: docs/ledger.md, section 6, cost rate. */
export function costRatesOf(records: readonly RateRecord[]): CostRate[] {
  return [...records]
    .sort((a, b) => a.from - b.from)
    .map((record) => ({ from: record.from, rate: roundRate(partsOf(record)) }));
}

/** What overtime is paid on: the base per hour of each record, with the percentages that are paid on it too, rounded once
 *  to 1/10,000, sorted by date; nothing for a yearly salary unless its record says so.
 *  Source: docs/pay.md, what a class costs. */
export const premiumRatesOf = (records: readonly RateRecord[]): CostRate[] =>
  costRatesOf(
    records.map(({ from, per, base, hoursPerYear, burden, overtimePaid = false }) =>
      per === 'year' && !overtimePaid
        ? { from, per: 'hour', base: fraction(0n), burden: [] }
        : {
            from,
            per,
            base,
            ...(hoursPerYear === undefined ? {} : { hoursPerYear }),
            burden: burden.filter((item) => item.kind === 'percent' && item.onPremium === true),
          },
    ),
  );

const IN_RATE = fraction(10_000n);
const roundRate = (parts: readonly Fraction[]): Rate =>
  toRate(Number(roundFraction(multiplyFractions(parts.reduce(addFractions), IN_RATE))));

/** The exact amounts per hour of a record: its base, then each burden item in its order. */
function partsOf({ per, base, hoursPerYear = fraction(0n), burden }: RateRecord): Fraction[] {
  const basePerHour = per === 'hour' ? base : divide(base, hoursPerYear);
  const perHour = (item: BurdenItem): Fraction => {
    switch (item.kind) {
      case 'percent':
        return multiplyFractions(basePerHour, multiplyFractions(item.value, fraction(1n, 100n)));
      case 'perHour':
        return item.value;
      case 'perYear':
        return divide(item.value, hoursPerYear);
    }
  };
  return [basePerHour, ...burden.map(perHour)];
}

/** The most that an hour of anybody can cost: beyond it somebody has mistyped, and sums would no longer be exact. */
const MOST_PER_HOUR = 1_000_000;

/** Whether what a record comes to per hour is a rate that can be kept. Throws `Defect` as `costRatesOf` does. */
export const isKeepable = (record: RateRecord): boolean =>
  compareFractions(partsOf(record).reduce(addFractions), fraction(BigInt(MOST_PER_HOUR))) <= 0;

/** How the cost of an hour comes about, line by line. */
export type ExplainedRate = { readonly base: Rate; readonly burden: readonly Rate[]; readonly total: Rate };

/** A record's base and burden items per hour, in 1/10,000. They add up to the cost rate to the last place: what
 *  rounding leaves over goes to the largest remainders, of equal ones to the earlier.
 *  Source: docs/ledger.md, section 6, cost rate. */
export function explainRate(record: RateRecord): ExplainedRate {
  const exact = partsOf(record).map((part) => multiplyFractions(part, IN_RATE));
  const total = roundRate(partsOf(record));
  const floors = exact.map(({ numerator, denominator }) => Number(numerator / denominator));
  const byRemainder = exact
    .map(({ numerator, denominator }, i) => ({ i, rest: fraction(numerator % denominator, denominator) }))
    .sort((a, b) => compareFractions(b.rest, a.rest) || a.i - b.i);
  const left = total - floors.reduce((a, b) => a + b, 0);
  for (const { i } of byRemainder.slice(0, left)) floors[i] = (floors[i] ?? 0) + 1;
  const [base = 0, ...burden] = floors;
  return { base: toRate(base), burden: burden.map(toRate), total };
}

function compareFractions(a: Fraction, b: Fraction): number {
  const difference = a.numerator * b.denominator - b.numerator * a.denominator;
  return difference > 0n ? 1 : difference < 0n ? -1 : 0;
}

/** The cost per hour on a day, from the latest record not after it; absent when none is. Wants `rates` sorted. */
export function costRateOn(rates: readonly CostRate[], day: LocalDay): Rate | undefined {
  for (let i = rates.length - 1; i >= 0; i -= 1) {
    const rate = itemAt(rates, i);
    if (rate.from <= day) return rate.rate;
  }
  return undefined;
}
