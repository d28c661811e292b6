import { groupBy } from '../result/index.ts';
import type { LedgerFacts, LinePremium } from '../ledger/index.ts';
import type { CostRate } from '../people/index.ts';
import { sumSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import { sumCents, toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { classifyWeek } from './classify.ts';
import type { ClassedDay, ClassedShare, DecidedSplit } from './classify.ts';
import { payWeeks } from './overtimeRule.ts';
import type { OvertimeRule, PayWeek } from './overtimeRule.ts';
import type { ClassSeconds } from './payClass.ts';
import { portionsOf } from './portions.ts';
import type { PaidTime, PayBasis, Portion } from './portions.ts';
import { premiumOfWeek } from './premium.ts';

/** What decides how one technician's time is paid. */
export type PayFacts = {
  readonly basis: PayBasis;
  readonly rules: readonly OvertimeRule[];
  readonly groupOn: (day: LocalDay) => string | undefined;
  readonly splits: readonly DecidedSplit[];
  readonly isClosed: (day: LocalDay) => boolean;
  /** What premium is paid on, sorted by day. */
  readonly premiumRates: readonly CostRate[];
};

/** One shift day as it is paid. */
export type PaidDay = ClassSeconds & {
  readonly day: LocalDay;
  readonly paidSeconds: Seconds;
  readonly unallocatedSeconds: Seconds;
  /** What its own overtime adds, whoever bears it. */
  readonly premium: Cents;
  readonly split: ClassedDay['split'];
  /** What of it counts towards the tiers of its week. */
  readonly countedSeconds: Seconds;
};

/** What one technician's time is paid as. Premiums of days are together those of lines and overhead. */
export type PersonPay = {
  readonly days: readonly PaidDay[];
  readonly lines: readonly LinePremium[];
  readonly overhead: Cents;
};

/** How one technician's time is paid: its days by class, and what overtime adds to which labor line. Only days with paid
 *  seconds are told. Source: docs/pay.md. */
export function derivePay(time: PaidTime, ledger: LedgerFacts, facts: PayFacts): PersonPay {
  const days = byShiftDay(portionsOf(time, ledger, facts.basis));
  const all = [...days.keys()];
  const [first, last] = [all[0], all.at(-1)];
  const weeks =
    first === undefined || last === undefined ? [] : payWeeks(facts.rules, facts.groupOn, { first, last });
  return payOfWeeks(days, weeks, facts);
}

/** How shift days of some weeks are paid; every day of a week that has any must be among them. */
export const payOfWeeks = (
  days: ReadonlyMap<LocalDay, readonly Portion[]>,
  weeks: readonly PayWeek[],
  facts: Pick<PayFacts, 'splits' | 'isClosed' | 'premiumRates'>,
): PersonPay =>
  joinPay(
    weeks.map(({ firstDay, lastDay, rule }) => {
      const own = [...days].filter(([day]) => day >= firstDay && day <= lastDay);
      return payOfWeek(new Map(own), rule, facts, toSeconds(0));
    }),
  );

/** Seconds of each class on each target of the shift days of some weeks; every day of a week that has any must be among
 *  them. */
export const sharesOfWeeks = (
  days: ReadonlyMap<LocalDay, readonly Portion[]>,
  weeks: readonly PayWeek[],
  facts: Pick<PayFacts, 'splits' | 'isClosed'>,
): readonly ClassedShare[] =>
  weeks.flatMap(({ firstDay, lastDay, rule }) => {
    const own = [...days].filter(([day]) => day >= firstDay && day <= lastDay);
    return classifyWeek(new Map(own), { ...facts, rule }, toSeconds(0)).flatMap(({ shares }) => shares);
  });

/** How some weeks are paid, together. */
export const joinPay = (parts: readonly PersonPay[]): PersonPay => ({
  days: parts.flatMap(({ days }) => days),
  lines: parts.flatMap(({ lines }) => lines),
  overhead: sumCents(parts.map(({ overhead }) => ({ cost: overhead }))),
});

/** Days of one week as they are paid, the last of it among them, by what counted on those before; where premium is spread
 *  over a week they must be all of it. */
export function payOfWeek(
  days: ReadonlyMap<LocalDay, readonly Portion[]>,
  rule: OvertimeRule | undefined,
  facts: Pick<PayFacts, 'splits' | 'isClosed' | 'premiumRates'>,
  counted: Seconds,
): PersonPay {
  const classed = classifyWeek(days, { ...facts, rule }, counted);
  const premium = premiumOfWeek(classed, rule, facts.premiumRates);
  return {
    days: classed.map((each) => toldDay(each, premium.days.get(each.day) ?? toCents(0))),
    lines: premium.lines,
    overhead: premium.overhead,
  };
}

const toldDay = (
  { day, straight, overtime, double, portions, split, countedSeconds }: ClassedDay,
  premium: Cents,
): PaidDay => ({
  day,
  paidSeconds: sumSeconds(portions),
  straight,
  overtime,
  double,
  unallocatedSeconds: sumSeconds(portions.filter(({ shares }) => shares.length === 0)),
  premium,
  split,
  countedSeconds,
});

/** Portions by their shift day, in order. */
export function byShiftDay(portions: readonly Portion[]): ReadonlyMap<LocalDay, readonly Portion[]> {
  return groupBy(portions, ({ shiftDay }) => shiftDay);
}
