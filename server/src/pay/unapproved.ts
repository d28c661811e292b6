import type { LaborLine, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { sumSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/sql.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { isPayable, nextPeriod } from './periods.ts';
import { loadShiftDays } from './shiftDays.ts';
import type { AskedDays } from './shiftDays.ts';

/** Seconds of labor on each target that nobody has approved yet: they count in job cost at once, and go to pay later. */
function unapprovedByTarget(
  sql: Sql,
  facts: ShopFacts,
  asked: AskedDays,
  now: Instant,
): ReadonlyMap<TargetId, number> {
  const sums = new Map<TargetId, number>();
  for (const day of loadShiftDays(sql, facts, asked, now))
    if (!isPayable(facts, day))
      for (const { target, seconds } of day.lines) sums.set(target, (sums.get(target) ?? 0) + seconds);
  return sums;
}

/** Seconds of each person's labor on some calendar days that nobody has approved yet. */
export function unapprovedByPerson(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  lastDay: LocalDay,
  now: Instant,
): ReadonlyMap<TechnicianId, number> {
  const sums = new Map<TechnicianId, number>();
  // Labor after midnight can belong to a shift that began the day before.
  for (const day of loadShiftDays(sql, facts, { firstDay: (firstDay - 1) as LocalDay, lastDay }, now))
    if (!isPayable(facts, day)) {
      const own = day.lines.filter((line) => line.day >= firstDay && line.day <= lastDay);
      sums.set(day.technician, (sums.get(day.technician) ?? 0) + sumSeconds(own));
    }
  return sums;
}

/** Of these labor lines, what nobody has approved yet. */
export function unapprovedSeconds(
  sql: Sql,
  facts: ShopFacts,
  lines: readonly LaborLine[],
  now: Instant,
): number {
  if (lines.length === 0) return 0;
  const days = lines.map(({ day }) => day);
  const asked = {
    // Labor after midnight can belong to a shift that began the day before.
    firstDay: (Math.min(...days) - 1) as LocalDay,
    lastDay: Math.max(...days) as LocalDay,
    people: new Set(lines.map(({ technician }) => technician)),
  };
  const sums = unapprovedByTarget(sql, facts, asked, now);
  return [...new Set(lines.map(({ target }) => target))].reduce(
    (sum, target) => sum + (sums.get(target) ?? 0),
    0,
  );
}

/** A shop that closes no pay period is not looked through from its first day on. */
const MOST_DAYS = 62;

/** What nobody has approved yet of each order, since the first day that is not closed. */
export function unapprovedByOrder(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
): { readonly since: LocalDay; readonly orders: ReadonlyMap<string, number> } {
  const today = facts.zone.dayAt(now);
  const since = Math.max(nextPeriod(sql, facts, now).firstDay, today - MOST_DAYS) as LocalDay;
  const orders = new Map<string, number>();
  for (const [target, seconds] of unapprovedByTarget(sql, facts, { firstDay: since, lastDay: today }, now)) {
    const order = facts.tasks.get(target)?.order;
    if (order !== undefined) orders.set(order, (orders.get(order) ?? 0) + seconds);
  }
  return { since, orders };
}
