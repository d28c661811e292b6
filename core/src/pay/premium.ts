import { itemAt } from '../result/index.ts';
import { fraction, roundFraction, shareByWeight, toCents } from '../money/index.ts';
import type { Cents, Fraction, Rate } from '../money/index.ts';
import type { LinePremium } from '../ledger/index.ts';
import { costRateOn } from '../people/index.ts';
import type { CostRate } from '../people/index.ts';
import { sumSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { ClassedDay, ClassedShare } from './classify.ts';
import type { OvertimeRule } from './overtimeRule.ts';

/** What overtime of one week adds: by the shift day on which it was worked, to which lines it goes, and what goes to none.
 *  Days together are lines and overhead together. */
export type WeekPremium = {
  readonly days: ReadonlyMap<LocalDay, Cents>;
  readonly lines: readonly LinePremium[];
  readonly overhead: Cents;
};

type Premium = ClassedShare & { readonly cents: number };

/** What is added to seconds of a class, in cents, rounded once: beyond the hour itself, which the labor line has. */
function premiumOf(seconds: Seconds, rate: Rate, { numerator, denominator }: Fraction): number {
  const beyond = BigInt(seconds) * BigInt(rate) * (numerator - denominator);
  // Seconds at a rate of 1/10,000 an hour are cents by 360,000.
  return Number(roundFraction(fraction(beyond, denominator * 360_000n)));
}

/** What overtime of one technician's week costs and who bears it, by the rule of that week. `rates` are what premium is paid
 *  on; where none holds on a day there is no premium. Source: docs/pay.md, what a class costs. */
export function premiumOfWeek(
  days: readonly ClassedDay[],
  rule: OvertimeRule | undefined,
  rates: readonly CostRate[],
): WeekPremium {
  const premiums = rule ? priced(days, rule, rates) : [];
  const ofDay = new Map<LocalDay, Cents>();
  for (const { shiftDay, cents } of premiums)
    ofDay.set(shiftDay, toCents((ofDay.get(shiftDay) ?? 0) + cents));
  const lines = sumByLine(linesOf(rule, premiums, days, rates));
  return {
    days: ofDay,
    lines,
    overhead: toCents(sum(premiums) - lines.reduce((total, { premium }) => total + premium, 0)),
  };
}

const sum = (premiums: readonly Premium[]): number => premiums.reduce((total, { cents }) => total + cents, 0);

/** Seconds of one target, kind of work, day, shift day and class are priced together. */
function priced(
  days: readonly ClassedDay[],
  { multipliers }: OvertimeRule,
  rates: readonly CostRate[],
): readonly Premium[] {
  const together = new Map<string, ClassedShare>();
  for (const share of days.flatMap(({ shares }) => shares)) {
    if (share.class === 'straight') continue;
    const key = [share.target ?? '', share.workType ?? '', share.day, share.shiftDay, share.class].join(' ');
    const before = together.get(key);
    together.set(key, before ? { ...before, seconds: sumSeconds([before, share]) } : share);
  }
  return [...together.values()].flatMap((share) => {
    const rate = costRateOn(rates, share.day);
    if (rate === undefined || share.class === 'straight') return [];
    return [{ ...share, cents: premiumOf(share.seconds, rate, multipliers[share.class]) }];
  });
}

function linesOf(
  rule: OvertimeRule | undefined,
  premiums: readonly Premium[],
  days: readonly ClassedDay[],
  rates: readonly CostRate[],
): readonly LinePremium[] {
  switch (rule?.premiumOn) {
    case 'worked':
      return premiums.flatMap(({ shiftDay, target, workType, day, cents }) =>
        target === undefined || workType === undefined
          ? []
          : [{ shiftDay, target, workType, day, premium: toCents(cents) }],
      );
    case 'spread': {
      const shares = days
        .flatMap(({ portions }) => portions)
        .filter(({ day }) => costRateOn(rates, day) !== undefined)
        .flatMap(({ shiftDay, day, shares: own }) => own.map((share) => ({ ...share, shiftDay, day })));
      if (shares.length === 0) return [];
      const given = spread(
        sum(premiums),
        shares.map(({ seconds }) => seconds),
      );
      return shares.map(({ shiftDay, target, workType, day }, i) => ({
        shiftDay,
        target,
        workType,
        day,
        premium: toCents(itemAt(given, i)),
      }));
    }
    default:
      return [];
  }
}

/** Multipliers below 1 take money away; it is shared as it would be given. */
const spread = (cents: number, weights: readonly number[]): readonly number[] =>
  shareByWeight(Math.abs(cents), weights).map((share) => share * Math.sign(cents));

/** Premiums of one line and shift day together, in the order of their first. */
function sumByLine(premiums: readonly LinePremium[]): readonly LinePremium[] {
  const lines = new Map<string, LinePremium>();
  for (const each of premiums) {
    const key = `${each.shiftDay} ${each.target} ${each.workType} ${each.day}`;
    const before = lines.get(key);
    lines.set(key, before ? { ...before, premium: toCents(before.premium + each.premium) } : each);
  }
  return [...lines.values()];
}
