import type { DaySplit } from '@wergon/contract/pay';
import type { DecidedSplit, PersonPay } from '@wergon/core/pay';
import { PAY_CLASSES } from '@wergon/core/pay';
import type { ClassSeconds } from '@wergon/core/pay';
import { toCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy, ok } from '@wergon/core/result';
import { formatHours, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { covers } from '../access/index.ts';
import { findSeen } from '../approval/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Call, DeskWho, Mount } from '../http/index.ts';
import { findClosedUntil, loadShiftDays, payOfDays, writeDecision } from '../ledger/index.ts';
import type { LedgerContext, ShiftDay } from '../ledger/index.ts';

type Days = Call<'decideSplits'>['body']['days'];
const sumOf = (classes: ClassSeconds): number => PAY_CLASSES.reduce((sum, each) => sum + classes[each], 0);

/** Routes by which somebody decides how shift days are paid, or leaves it to the rule again. Both are decisions in the
 *  journal. Source: docs/pay.md, decided split. */
export function mountSplits(mount: Mount, { database, clock, facts, journal }: LedgerContext): void {
  mount('daySplit', async ({ query: { technician, day }, who }) => {
    const known = await facts.seenBy(who.user);
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const now = clock.now();
    const told = await readSql(database, (sql) => tellSplit(sql, known, technician, day, now, who));
    return told ? ok(told) : refuse('record.not_found');
  });

  mount('trySplit', async ({ body: { technician, day, ...classes }, who }) => {
    const known = await facts.seenBy(who.user);
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    if (!who.rights.has('rates.see')) return ok({ premium: null });
    return ok(
      await readSql(database, (sql) => {
        const tried = { day, ...secondsOf(classes) };
        const before = payOfDays(sql, known, technician, { first: day, last: day });
        const after = payWith(sql, known, technician, day, tried);
        return { premium: { before: premiumOf(before), after: premiumOf(after) } };
      }),
    );
  });

  mount('decideSplits', async ({ body: { days, reason }, who }) => {
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const now = clock.now();
      const seen = findSeen(sql, known, who.user, days, now);
      if (!seen.ok) return seen;
      const refusal = refuseDays(sql, known, days);
      if (refusal) return refusal;
      const decided = days.map(({ technician, day, classes }) => ({
        ...{ technician, day },
        ...(classes ? secondsOf(classes) : byRule(sql, known, technician, day)),
      }));
      const wrong = decided.findIndex((each, i) => sumOf(each) !== paidSeconds(seen.value[i]));
      if (wrong >= 0)
        return refuse('input.invalid', [
          {
            field: `days[${wrong}].classes`,
            message: `must add up to ${formatHours(toSeconds(paidSeconds(seen.value[wrong])), 'h:mm:ss')}`,
          },
        ]);
      return ok(
        decided.map((each) => writeDecision({ type: 'split', ...each, reason, by: who.user.name }, now)),
      );
    });
    return done.ok ? ok(null) : done;
  });

  mount('resetSplits', async ({ body: { days }, who }) => {
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const other = days.find(({ technician }) => !covers(who.user, known, technician));
      if (other) return refuse('reconcile.other_people');
      if (days.some(({ technician }) => technician === who.user.technician)) return refuse('approve.own');
      const refusal = refuseDays(sql, known, days);
      if (refusal) return refusal;
      const now = clock.now();
      return ok(
        days
          // Said again it leaves nothing to take back.
          .filter(({ technician, day }) => findDecided(sql, technician, day) !== undefined)
          .map(({ technician, day }) =>
            writeDecision({ type: 'reset-split', technician, day, by: who.user.name }, now),
          ),
      );
    });
    return done.ok ? ok(null) : done;
  });
}

const secondsOf = (classes: Record<keyof ClassSeconds, number>): ClassSeconds => ({
  straight: toSeconds(classes.straight),
  overtime: toSeconds(classes.overtime),
  double: toSeconds(classes.double),
});
const paidSeconds = (day: ShiftDay | undefined): number => (day ? sumOf(day.classes) : 0);

/** In a closed period, and where no rule is in effect, nothing is decided. */
function refuseDays(
  sql: Sql,
  { overtime }: ShopFacts,
  days: readonly Pick<Days[number], 'technician' | 'day'>[],
) {
  const closedUntil = findClosedUntil(sql);
  if (closedUntil !== null && days.some(({ day }) => day <= closedUntil)) return refuse('approve.closed');
  return days.some(({ technician, day }) => overtime.weekOf(technician, day).rule === undefined)
    ? refuse('pay.no_rule')
    : undefined;
}

type Decided = ClassSeconds & { readonly said_by: string; readonly reason: string };
const findDecided = (sql: Sql, technician: TechnicianId, day: LocalDay): Decided | undefined =>
  sql.all<Decided>(
    `select "straight", "overtime", "double", "said_by", "reason" from "pay_split"
     where "technician" = ? and "shift_day" = ?`,
    [technician, day],
  )[0];

/** Somebody's pay of the week of a day, with another decision on that day or with none. */
const payWith = (
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  day: LocalDay,
  split?: DecidedSplit,
): PersonPay =>
  payOfDays(sql, facts, technician, { first: day, last: day }, (by) => ({
    ...by,
    splits: [...by.splits.filter((each) => each.day !== day), ...(split ? [split] : [])],
  }));

const premiumOf = ({ days }: PersonPay) => toCents(days.reduce((sum, { premium }) => sum + premium, 0));

function byRule(sql: Sql, facts: ShopFacts, technician: TechnicianId, day: LocalDay): ClassSeconds {
  const found = payWith(sql, facts, technician, day).days.find((each) => each.day === day);
  return secondsOf(found ?? { straight: 0, overtime: 0, double: 0 });
}

function tellSplit(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  day: LocalDay,
  now: Instant,
  who: DeskWho,
): DaySplit | undefined {
  const [seen] = loadShiftDays(sql, facts, { firstDay: day, lastDay: day, people: [technician] }, now);
  if (!seen) return undefined;
  const ruled = payWith(sql, facts, technician, day).days.find((each) => each.day === day);
  const none = { straight: 0, overtime: 0, double: 0 };
  const decided = findDecided(sql, technician, day);
  const seesRates = who.rights.has('rates.see');
  const lines = groupBy(
    seen.lines.filter(({ premium = 0 }) => premium !== 0),
    ({ target }) => facts.tasks.get(target)?.order,
  );
  return {
    technician,
    day,
    stamp: seen.stamp,
    paidSeconds: toSeconds(paidSeconds(seen)),
    split: seen.split,
    now: secondsOf(seen.classes),
    byRule: seen.isOpen && seen.split === 'none' ? secondsOf(seen.classes) : secondsOf(ruled ?? none),
    premium: seesRates ? { now: seen.premium, byRule: ruled?.premium ?? toCents(0) } : null,
    decided: decided ? { ...secondsOf(decided), by: decided.said_by, reason: decided.reason } : null,
    refusal: refusalOf(sql, facts, seen, who),
    orders: seesRates
      ? [...lines].flatMap(([id, own]) => {
          const order = id && facts.orders.get(id);
          const premium = toCents(own.reduce((sum, line) => sum + (line.premium ?? 0), 0));
          return order ? [{ order: order.id, number: order.number, premium }] : [];
        })
      : [],
  };
}

function refusalOf(sql: Sql, facts: ShopFacts, seen: ShiftDay, who: DeskWho): DaySplit['refusal'] {
  const { technician, day, isOpen } = seen;
  const closedUntil = findClosedUntil(sql);
  if (facts.overtime.weekOf(technician, day).rule === undefined) return 'no-rule';
  if (closedUntil !== null && day <= closedUntil) return 'closed';
  if (isOpen) return 'open';
  if (!who.rights.has('time.approve')) return 'right';
  if (who.user.technician === technician) return 'own';
  return covers(who.user, facts, technician) ? null : 'other-people';
}
