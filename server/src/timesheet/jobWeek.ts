import type { JobWeekJson } from '@wergon/contract/timesheet';
import { joinRows, secondsOfCells, weekRows } from '@wergon/core/timesheet';
import type { TargetId } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { mondayOf, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { covers } from '../access/index.ts';
import type { Who, Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, loadPersonTimeline, loadHours } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { costsFor, loadLabor, usedOf, warnAtOf, writeComparison } from '../compare/index.ts';
import type { Costs } from '../compare/index.ts';
import { titleOf } from '../catalog/index.ts';
import { sourceOfCells } from './sourceOfCells.ts';

const WEEK = 7;
type DeskWho = Extract<Who, { kind: 'desk' }>;

/** One job and many people: a lead writes a week down for their crew. */
export function mountJobWeek(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('jobWeek', async ({ query: { target, day }, who }) => {
    const known = await facts.seenBy(who.user);
    if (!known.targets.has(target)) return refuse('record.not_found');
    const monday = mondayOf(day);
    return ok(await readSql(database, (sql) => loadJobWeek(sql, known, who, target, monday, clock.now())));
  });
}

function loadJobWeek(
  sql: Sql,
  facts: ShopFacts,
  who: DeskWho,
  target: TargetId,
  monday: LocalDay,
  now: Instant,
): JobWeekJson {
  const days = Array.from({ length: WEEK }, (_, i) => addDays(monday, i));
  const span = { from: facts.zone.startOf(monday), to: facts.zone.startOf(addDays(monday, WEEK)) };
  const hours = loadHours(sql, monday, addDays(monday, WEEK - 1));
  const withSource = sourceOfCells(sql, facts, monday);
  const today = facts.zone.dayAt(now);
  const closedUntil = findClosedUntil(sql);
  const people = [...facts.technicians.values()]
    .filter(({ id, leftOn }) => covers(who.user, facts, id) && (leftOn == null || leftOn >= monday))
    .map(({ id, name, department }) => {
      const { stints } = loadPersonTimeline(sql, facts, id, span, now);
      const own = hours.filter((entry) => entry.technician === id);
      const rows = weekRows(monday, stints, own, facts).filter((row) => row.target === target);
      const cells = joinRows(monday, rows);
      const totalSeconds = secondsOfCells(cells);
      return { technician: id, name, department, cells: cells.map(withSource), totalSeconds };
    });
  return {
    asOf: now,
    target,
    title: titleOf(facts, target),
    days: days.map((day) => ({
      day,
      isClosed: closedUntil !== null && day <= closedUntil,
      isFuture: day > today,
    })),
    people,
    totalSeconds: people.reduce((sum, { totalSeconds }) => sum + totalSeconds, 0),
    task: writeTask(sql, facts, target, now, costsFor(who)),
  };
}

/** What a task comes to in all, everybody's labor counted. */
function writeTask(
  sql: Sql,
  facts: ShopFacts,
  target: TargetId,
  now: Instant,
  costs: Costs,
): JobWeekJson['task'] {
  const known = facts.tasks.get(target);
  const order = known && facts.orders.get(known.order);
  const [task] = known ? loadLabor(sql, facts, [known], now, costs) : [];
  if (!known || !order || !task) return null;
  return {
    comparison: writeComparison(task.comparison, costs, warnAtOf(facts, now)),
    hasEstimate: known.hasEstimate,
    used: { ...usedOf([task], order) },
  };
}
