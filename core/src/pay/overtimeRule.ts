import { fraction } from '../money/index.ts';
import type { Fraction } from '../money/index.ts';
import { mondayOf, weekdayOf, addDays } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import { isLower } from './payClass.ts';
import type { PayClass } from './payClass.ts';

/** From so many seconds of a day or a week on, an hour is paid so. */
export type PayTier = { readonly over: Seconds; readonly class: PayClass };

/** Where what overtime adds is charged: to the work that was done then, over all work of the week, or to no job. */
export const PREMIUM_ON = ['worked', 'spread', 'overhead'] as const;
export type PremiumOn = (typeof PREMIUM_ON)[number];

/** How hours of a pay group (without one, of whoever has no rule of a group of their own) are paid from a day on.
 *  Weekdays are those of ISO 8601, 1 is Monday. Source: docs/pay.md, classes of pay. */
export type OvertimeRule = {
  readonly from: LocalDay;
  readonly group: string | undefined;
  readonly weekStart: number;
  readonly day: readonly PayTier[];
  readonly week: readonly PayTier[];
  readonly special: readonly { readonly on: number | 'closed'; readonly class: PayClass }[];
  readonly multipliers: { readonly overtime: Fraction; readonly double: Fraction };
  readonly premiumOn: PremiumOn;
};

/** What hours beyond straight ones are paid at where a rule says nothing. Source: docs/pay.md, classes of pay. */
export const USUAL_MULTIPLIERS: OvertimeRule['multipliers'] = {
  overtime: fraction(3n, 2n),
  double: fraction(2n),
};

/** A week by which somebody is paid; shorter where a rule took effect within it. No rule: everything is straight. */
export type PayWeek = {
  readonly firstDay: LocalDay;
  readonly lastDay: LocalDay;
  readonly rule: OvertimeRule | undefined;
};

/** The first tier that is not above the one before it: its seconds must rise and its class must not fall. */
export const findTierOutOfOrder = (tiers: readonly PayTier[]): number | undefined => {
  const found = tiers.findIndex((tier, i) => {
    const before = tiers[i - 1];
    return before !== undefined && (tier.over <= before.over || isLower(tier.class, before.class));
  });
  return found < 0 ? undefined : found;
};

/** The rule that fits a day: the latest of the person's group, else the latest of all groups. */
function fittingOn(rules: readonly OvertimeRule[], group: string | undefined, day: LocalDay) {
  const latest = (of: string | undefined) =>
    rules
      .filter((rule) => rule.group === of && rule.from <= day)
      .reduce<OvertimeRule | undefined>(
        (last, rule) => (last && last.from > rule.from ? last : rule),
        undefined,
      );
  return (group === undefined ? undefined : latest(group)) ?? latest(undefined);
}

const MONDAY = 1;

/** Somebody's weeks from one that holds `first` to one that holds `last`, each with the rule in effect. The first rule that
 *  fits takes effect at once; another one on a start of its own week, and until then the old one goes on. `groupOn` says
 *  which group the person belongs to. Source: docs/pay.md, classes of pay. */
export function payWeeks(
  rules: readonly OvertimeRule[],
  groupOn: (day: LocalDay) => string | undefined,
  { first, last }: { readonly first: LocalDay; readonly last: LocalDay },
): readonly PayWeek[] {
  const weeks: PayWeek[] = [];
  let rule: OvertimeRule | undefined;
  let firstDay = mondayOf(rules.reduce((day, { from }) => (from < day ? from : day), first));
  for (let day = firstDay; firstDay <= last; day = addDays(day, 1)) {
    const before = rule;
    const fits = fittingOn(rules, groupOn(day), day);
    if (rule === undefined || weekdayOf(day) === (fits?.weekStart ?? MONDAY)) rule = fits;
    const begins = rule !== before || weekdayOf(day) === (rule?.weekStart ?? MONDAY);
    if (!begins || day === firstDay) continue;
    if (day > first) weeks.push({ firstDay, lastDay: addDays(day, -1), rule: before });
    firstDay = day;
  }
  return weeks;
}
