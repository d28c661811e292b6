import type { LedgerFacts } from '../ledger/index.ts';
import type { CostRate } from '../people/index.ts';
import { sumSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import { sumCents, toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { classifyWeek } from './classify.ts';
import type { ClassedDay, DecidedSplit } from './classify.ts';
import { payWeeks } from './overtimeRule.ts';
import type { OvertimeRule, PayWeek } from './overtimeRule.ts';
import type { ClassSeconds } from './payClass.ts';
import { portionsOf } from './portions.ts';
import type { PaidTime, PayBasis, Portion } from './portions.ts';
import { premiumOfWeek } from './premium.ts';
import type { LinePremium } from './premium.ts';

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
  const portions = portionsOf(time, ledger, facts.basis);
  const weeks = weeksOf(portions, facts).map(({ week, days }) => {
    const classed = classifyWeek(days, week.rule, facts.splits, facts.isClosed);
    return { classed, premium: premiumOfWeek(classed, week.rule, facts.premiumRates) };
  });
  return {
    days: weeks.flatMap(({ classed, premium }) =>
      classed.map((each) => toldDay(each, premium.days.get(each.day) ?? toCents(0))),
    ),
    lines: weeks.flatMap(({ premium }) => premium.lines),
    overhead: sumCents(weeks.map(({ premium }) => ({ cost: premium.overhead }))),
  };
}

const toldDay = (
  { day, straight, overtime, double, portions, split }: ClassedDay,
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
});

type WeekOfPortions = { readonly week: PayWeek; readonly days: ReadonlyMap<LocalDay, readonly Portion[]> };

/** Portions by their week and shift day, in order. */
function weeksOf(portions: readonly Portion[], { rules, groupOn }: PayFacts): readonly WeekOfPortions[] {
  const [first, last] = [portions[0]?.shiftDay, portions.at(-1)?.shiftDay];
  if (first === undefined || last === undefined) return [];
  const days = new Map<LocalDay, Portion[]>();
  for (const portion of portions)
    days.set(portion.shiftDay, [...(days.get(portion.shiftDay) ?? []), portion]);
  return payWeeks(rules, groupOn, { first, last }).map((week) => ({
    week,
    days: new Map([...days].filter(([day]) => day >= week.firstDay && day <= week.lastDay)),
  }));
}
