import { fraction } from '../money/index.ts';
import type { Fraction } from '../money/index.ts';
import { itemAt } from '../result/index.ts';
import { addDays, earliestOf, mondayOf, weekdayOf } from '../time/index.ts';
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

/** Somebody's weeks, one for each day that is asked for. The first rule that fits takes effect at once; another one on a
 *  start of its own week, and until then the old one goes on. `groupOn` says which group the person belongs to. What was
 *  found is kept: days are asked for again and again. Source: docs/pay.md, classes of pay. */
export function payCalendar(
  rules: readonly OvertimeRule[],
  groupOn: (day: LocalDay) => string | undefined,
): (day: LocalDay) => PayWeek {
  const start = rules.length === 0 ? undefined : mondayOf(earliestOf(rules.map(({ from }) => from)));
  const weeks: PayWeek[] = [];
  let rule: OvertimeRule | undefined;
  let reached = start;
  let firstDay = start;
  function walkTo(day: LocalDay): void {
    for (; reached !== undefined && firstDay !== undefined && (weeks.at(-1)?.lastDay ?? -Infinity) < day;) {
      const before = rule;
      const today = reached;
      const fits = fittingOn(rules, groupOn(today), today);
      if (rule === undefined || weekdayOf(today) === (fits?.weekStart ?? MONDAY)) rule = fits;
      reached = addDays(today, 1);
      const begins = rule !== before || weekdayOf(today) === (rule?.weekStart ?? MONDAY);
      if (!begins || today === firstDay) continue;
      weeks.push({ firstDay, lastDay: addDays(today, -1), rule: before });
      firstDay = today;
    }
  }
  return (day) => {
    if (start === undefined || day < start) {
      const monday = mondayOf(day);
      return { firstDay: monday, lastDay: addDays(monday, 6), rule: undefined };
    }
    walkTo(day);
    return itemAt(weeks, findWeek(weeks, day));
  };
}

/** Which of weeks that follow each other holds a day; the last ones are asked for most. */
function findWeek(weeks: readonly PayWeek[], day: LocalDay): number {
  let [low, high] = [0, weeks.length - 1];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (itemAt(weeks, middle).lastDay < day) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The weeks of a span, the first and the last of them whole. */
export function weeksBetween(weekOf: (day: LocalDay) => PayWeek, first: LocalDay, last: LocalDay): PayWeek[] {
  const weeks: PayWeek[] = [];
  for (let day = first; day <= last;) {
    const week = weekOf(day);
    weeks.push(week);
    day = addDays(week.lastDay, 1);
  }
  return weeks;
}

/** Somebody's weeks from one that holds `first` to one that holds `last`, each with the rule in effect. */
export const payWeeks = (
  rules: readonly OvertimeRule[],
  groupOn: (day: LocalDay) => string | undefined,
  { first, last }: { readonly first: LocalDay; readonly last: LocalDay },
): readonly PayWeek[] => weeksBetween(payCalendar(rules, groupOn), first, last);
