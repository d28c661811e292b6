import { withPremium } from '@wergon/core/ledger';
import type { HoursEntry, LaborEntry, LaborLine, Ledger, LedgerFacts } from '@wergon/core/ledger';
import { derivePay, paidAwayOf, payWeeks } from '@wergon/core/pay';
import type { OvertimeRule, PaidAway, PersonPay } from '@wergon/core/pay';
import { premiumRatesOf } from '@wergon/core/people';
import type { TechnicianId } from '@wergon/core/people';
import { daysFrom, earliestOf, latestOf, toSeconds, weekdayOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Scenario } from './scenario.ts';

/** What one technician's time is paid as, and the labor lines with what overtime adds to them. */
export type PaidPerson = {
  readonly technician: TechnicianId;
  readonly days: PersonPay['days'];
  readonly lines: readonly LaborLine[];
  readonly away: readonly PaidAway[];
};

export const hoursOf = (entries: readonly LaborEntry[]): readonly HoursEntry[] =>
  entries.filter((entry): entry is HoursEntry => entry.type === 'hours');

/** Pay of everybody in a scenario. `entries` are those that count. */
export function payOf(
  scenario: Scenario,
  ledger: Ledger,
  entries: readonly LaborEntry[],
  facts: LedgerFacts,
): readonly PaidPerson[] {
  const rules: readonly OvertimeRule[] = scenario.payRules.map((rule) => ({ ...rule, group: rule.group }));
  const closedDays = new Map(scenario.closedDays.map(({ day, paid }) => [day, { isPaid: paid }]));
  const span = spanOf(entries, facts);
  const hours = hoursOf(entries);
  return scenario.technicians.map(({ id, rates, payGroup, plan, guarantee, absences }) => {
    const own = <Item extends { readonly technician: TechnicianId }>(items: readonly Item[]) =>
      items.filter(({ technician }) => technician === id);
    const pay = derivePay(
      {
        stints: own(ledger.stints),
        shifts: own(ledger.shifts),
        breaks: own(ledger.breaks),
        hours: own(hours),
      },
      facts,
      {
        basis: scenario.payBasis,
        rules,
        groupOn: () => payGroup,
        splits: own(scenario.splits),
        isClosed: (day) => closedDays.has(day),
        premiumRates: premiumRatesOf(rates),
      },
    );
    const paidOn = new Map(pay.days.map(({ day, paidSeconds }) => [day, paidSeconds]));
    const away = {
      plannedOn: (day: LocalDay) => plan?.[weekdayOf(day) - 1] ?? toSeconds(0),
      leave: absences.map(({ paid: isPaid, ...each }) => ({ ...each, isPaid })),
      guarantees: guarantee,
      closedDays,
    };
    const [first, last] = [span[0], span.at(-1)];
    const weeks =
      first === undefined || last === undefined ? [] : payWeeks(rules, () => payGroup, { first, last });
    return {
      technician: id,
      days: pay.days,
      lines: withPremium(own(ledger.lines), pay.lines),
      away: paidAwayOf(away, span, weeks, (day) => paidOn.get(day) ?? 0),
    };
  });
}

/** The days from the first to the last of which anything is known. */
function spanOf(entries: readonly LaborEntry[], { zone }: LedgerFacts): readonly LocalDay[] {
  if (entries.length === 0) return [];
  const days = entries.map((entry) => (entry.type === 'hours' ? entry.day : zone.dayAt(entry.at)));
  const first = earliestOf(days);
  return daysFrom(first, latestOf(days) - first + 1);
}
