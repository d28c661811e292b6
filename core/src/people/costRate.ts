import { addFractions, fraction, multiplyFractions, roundFraction, toRate } from '../money/index.ts';
import type { Fraction, Rate } from '../money/index.ts';
import type { Brand } from '../result/index.ts';
import type { LocalDay } from '../time/index.ts';

/** A person whose time is tracked. */
export type TechnicianId = Brand<string, 'TechnicianId'>;

/** What the shop pays on top of the base: a percentage of base per hour, an amount per hour, or one per year. */
export type BurdenItem =
  | { readonly kind: 'percent'; readonly value: Fraction }
  | { readonly kind: 'perHour'; readonly value: Fraction }
  | { readonly kind: 'perYear'; readonly value: Fraction };

/** One dated pay record. `hoursPerYear` is there whenever the base or a burden item is per year. */
export type RateRecord = {
  readonly from: LocalDay;
  readonly per: 'hour' | 'year';
  readonly base: Fraction;
  readonly hoursPerYear?: Fraction;
  readonly burden: readonly BurdenItem[];
};

/** The cost of one hour from a day on. */
export type CostRate = { readonly from: LocalDay; readonly rate: Rate };

const divide = (a: Fraction, b: Fraction) => multiplyFractions(a, fraction(b.denominator, b.numerator));

/** Cost per hour of each record: base plus burden, rounded once to 1/10,000, sorted by date. Throws `Defect` when
 *  a per-year amount stands without hours per year. Source: docs/ledger.md, section 6, cost rate. */
export function costRatesOf(records: readonly RateRecord[]): CostRate[] {
  return [...records]
    .sort((a, b) => a.from - b.from)
    .map((record) => ({ from: record.from, rate: costPerHour(record) }));
}

function costPerHour({ per, base, hoursPerYear = fraction(0n), burden }: RateRecord): Rate {
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
  const total = burden.map(perHour).reduce(addFractions, basePerHour);
  return toRate(Number(roundFraction(multiplyFractions(total, fraction(10_000n)))));
}

/** The cost per hour on a day, from the latest record not after it; absent when none is. Wants `rates` sorted. */
export function costRateOn(rates: readonly CostRate[], day: LocalDay): Rate | undefined {
  for (let i = rates.length - 1; i >= 0; i -= 1) {
    const rate = rates[i] as CostRate;
    if (rate.from <= day) return rate.rate;
  }
  return undefined;
}
