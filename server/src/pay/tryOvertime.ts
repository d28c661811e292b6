import type { TriedOvertime } from '@wergon/contract/pay';
import type { LinePremium } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import { byShiftDay, joinPay, payOfWeeks, weeksBetween } from '@wergon/core/pay';
import type { OvertimeRule, PaidDay, PersonPay } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import type { WorkOrderId } from '@wergon/core/work';
import { addDays, toSeconds } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { createWeekOf } from '../catalog/index.ts';
import type { OvertimeFacts, ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import type { Call } from '../http/index.ts';
import { loadPortions, paidBy } from '../ledger/index.ts';

type Body = Call<'tryOvertime'>['body'];
type Memberships = Parameters<typeof createWeekOf>[1];

/** So many people are looked at in one go: the page shows how far it is, and can stop. */
const AT_ONCE = 10;

/** The rules as they would be with a change. */
export function changedRules(
  rules: readonly OvertimeRule[],
  { from, group, terms, replaces }: Pick<Body, 'from' | 'group' | 'terms' | 'replaces'>,
): readonly OvertimeRule[] {
  const nameOf = (each: OvertimeRule) => each.group ?? '';
  const kept = rules.filter(
    (rule) =>
      !(replaces && rule.from === replaces.from && nameOf(rule) === replaces.group) &&
      !(rule.from === from && nameOf(rule) === group),
  );
  return terms ? [...kept, { ...terms, from, group: group === '' ? undefined : group }] : kept;
}

/** What other rules would have made of days gone by, for some of the people. */
export function tryOvertime(
  sql: Sql,
  facts: ShopFacts,
  memberships: Memberships,
  body: Body,
  seesRates: boolean,
): TriedOvertime {
  const weekOf = createWeekOf(changedRules(facts.overtime.rules, body), memberships);
  const everybody = [...facts.technicians.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
  const rest = everybody.filter(({ id }) => body.after === null || id > body.after);
  const now = rest.slice(0, AT_ONCE);
  const paid = now.map(({ id, name }) => ({ id, name, ...payUnder(sql, facts, id, body, weekOf) }));
  const differs = paid.filter(({ before, after }) => JSON.stringify(before) !== JSON.stringify(after));
  const both = <T>(
    pays: { readonly before: PersonPay; readonly after: PersonPay },
    of: (pay: PersonPay) => T,
  ) => ({ before: of(pays.before), after: of(pays.after) });
  return {
    people: differs.map(({ id, name, ...pays }) => ({
      technician: id,
      name,
      classes: both(pays, ({ days }) => sumClasses(days)),
      premium: seesRates ? both(pays, ({ days }) => toCents(sumPremium(days))) : null,
    })),
    orders: seesRates ? ordersOf(facts, paid) : [],
    overhead: seesRates
      ? both(
          { before: joinPay(paid.map((p) => p.before)), after: joinPay(paid.map((p) => p.after)) },
          (pay) => pay.overhead,
        )
      : null,
    done: everybody.length - rest.length + now.length,
    of: everybody.length,
    next: rest.length > now.length ? (now.at(-1)?.id ?? null) : null,
  };
}

/** How somebody's shift days of a span were paid, and would have been. */
function payUnder(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  { firstDay, lastDay }: Pick<Body, 'firstDay' | 'lastDay'>,
  weekOf: OvertimeFacts['weekOf'],
) {
  // Weeks begin on other days by other rules.
  const days = { first: addDays(firstDay, -7), last: addDays(lastDay, 7) };
  const portions = byShiftDay(loadPortions(sql, facts, technician, days));
  const by = paidBy(sql, facts, technician, days);
  const payBy = (of: OvertimeFacts['weekOf']): PersonPay => {
    const weeks = weeksBetween((day) => of(technician, day), firstDay, lastDay);
    return within(payOfWeeks(portions, weeks, by), firstDay, lastDay);
  };
  return { before: payBy(facts.overtime.weekOf), after: payBy(weekOf) };
}

/** What of it belongs to some shift days. */
function within({ days, lines }: PersonPay, first: LocalDay, last: LocalDay): PersonPay {
  const isWithin = (day: LocalDay) => day >= first && day <= last;
  const own = {
    days: days.filter(({ day }) => isWithin(day)),
    lines: lines.filter(({ shiftDay }) => isWithin(shiftDay)),
  };
  return { ...own, overhead: toCents(sumPremium(own.days) - sumPremium(own.lines)) };
}

const sumPremium = (items: readonly Pick<LinePremium, 'premium'>[]): number =>
  items.reduce((sum, { premium }) => sum + premium, 0);

const sumClasses = (days: readonly PaidDay[]) => {
  const sum = (of: 'straight' | 'overtime' | 'double') =>
    toSeconds(days.reduce((total, day) => total + day[of], 0));
  return { straight: sum('straight'), overtime: sum('overtime'), double: sum('double') };
};

function ordersOf(
  facts: ShopFacts,
  paid: readonly { readonly before: PersonPay; readonly after: PersonPay }[],
): TriedOvertime['orders'] {
  const sums = new Map<WorkOrderId | null, { before: number; after: number }>();
  const add = (lines: readonly LinePremium[], when: 'before' | 'after') => {
    for (const { target, premium } of lines) {
      const order = facts.tasks.get(target)?.order ?? null;
      const sum = sums.get(order) ?? { before: 0, after: 0 };
      sum[when] += premium;
      sums.set(order, sum);
    }
  };
  for (const { before, after } of paid) {
    add(before.lines, 'before');
    add(after.lines, 'after');
  }
  return [...sums]
    .filter(([, { before, after }]) => before !== after)
    .map(([id, { before, after }]) => {
      const order = id === null ? undefined : facts.orders.get(id);
      return {
        order: id,
        number: order?.number ?? '',
        title: order?.title ?? '',
        premium: { before: toCents(before), after: toCents(after) },
      };
    });
}
