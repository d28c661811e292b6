import type { WorkOrderId } from '@wergon/core/work';
import type { LaborLine, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { addDays, earliestOf, latestOf, sumSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { LedgerContext, AskedDays } from '../ledger/index.ts';
import { findClosedUntil, loadShiftDays } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { isPayable } from './payable.ts';
import { loadLabor } from '../compare/index.ts';

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
  for (const day of loadShiftDays(sql, facts, { firstDay: addDays(firstDay, -1), lastDay }, now))
    if (!isPayable(facts, day)) {
      const own = day.lines.filter((line) => line.day >= firstDay && line.day <= lastDay);
      sums.set(day.technician, (sums.get(day.technician) ?? 0) + sumSeconds(own));
    }
  return sums;
}

/** Of these labor lines, what nobody has approved yet. */
function unapprovedSeconds(sql: Sql, facts: ShopFacts, lines: readonly LaborLine[], now: Instant): number {
  if (lines.length === 0) return 0;
  const days = lines.map(({ day }) => day);
  const asked = {
    // Labor after midnight can belong to a shift that began the day before.
    firstDay: addDays(earliestOf(days), -1),
    lastDay: latestOf(days),
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
function unapprovedByOrder(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
): { readonly since: LocalDay; readonly orders: ReadonlyMap<WorkOrderId, number> } {
  const today = facts.zone.dayAt(now);
  const oldest = addDays(today, -MOST_DAYS);
  const closedUntil = findClosedUntil(sql);
  const since = closedUntil === null ? oldest : latestOf([addDays(closedUntil, 1), oldest]);
  const orders = new Map<WorkOrderId, number>();
  for (const [target, seconds] of unapprovedByTarget(sql, facts, { firstDay: since, lastDay: today }, now)) {
    const order = facts.tasks.get(target)?.order;
    if (order !== undefined) orders.set(order, (orders.get(order) ?? 0) + seconds);
  }
  return { since, orders };
}

/** Routes of what nobody has approved yet, by order and of one order. */
export function mountUnapproved(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('unapprovedWork', async () => {
    const known = await facts.get();
    const { since, orders } = await readSql(database, (sql) => unapprovedByOrder(sql, known, clock.now()));
    return ok({
      since,
      orders: [...orders].map(([order, seconds]) => ({ order, seconds })),
    });
  });

  mount('unapprovedOrder', async ({ param }) => {
    const known = await facts.get();
    const tasks = known.tasksByOrder.get(param('order'));
    if (!tasks) return refuse('record.not_found');
    const now = clock.now();
    const seconds = await readSql(database, (sql) => {
      // Hours alone are asked for: at standard cost as well as at any other.
      const labor = loadLabor(sql, known, tasks, now, 'standard');
      return unapprovedSeconds(
        sql,
        known,
        labor.flatMap(({ lines }) => lines),
        now,
      );
    });
    return ok({ seconds });
  });
}
