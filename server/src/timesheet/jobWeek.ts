import type { JobWeekJson } from '@wergon/contract/timesheet';
import { allocateStint } from '@wergon/core/ledger';
import type { EntryId, HoursEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { mondayOf, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import { covers } from '../access/index.ts';
import type { Who, Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, loadPersonTimeline, loadHours } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { costsFor, loadLabor, usedOf, writeComparison } from '../compare/index.ts';
import type { Costs } from '../compare/index.ts';
import { titleOf } from '../catalog/index.ts';

const WEEK = 7;
type DeskWho = Extract<Who, { kind: 'desk' }>;

/** One job and many people: a lead writes a week down for their crew. */
export function mountJobWeek(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('jobWeek', async ({ query: { target, day }, who }) => {
    const known = await facts.get();
    if (!known.targets.has(target)) return refuse('record.not_found');
    const monday = mondayOf(day);
    return ok(await readSql(database, (sql) => loadJobWeek(sql, known, who, target, monday, clock.now())));
  });
}

type Entered = { readonly id: EntryId; readonly seconds: number; readonly workType: WorkType };
type Cells = { scanned: number; isOpen: boolean; entered: Entered[] }[];

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
  const today = facts.zone.dayAt(now);
  const closedUntil = findClosedUntil(sql);
  const people = [...facts.technicians.values()]
    .filter(({ id, leftOn }) => covers(who.user, facts, id) && (leftOn == null || leftOn >= monday))
    .map(({ id, name, department }) => {
      const cells = cellsOf(sql, facts, id, hours, target, monday, span, now);
      return {
        technician: id,
        name,
        department,
        cells: cells.map(({ scanned, isOpen, entered }, i) => ({
          day: addDays(monday, i),
          scannedSeconds: scanned,
          entered,
          isOpen,
        })),
        totalSeconds: cells.reduce(
          (sum, { scanned, entered }) => entered.reduce((own, { seconds }) => own + seconds, sum + scanned),
          0,
        ),
      };
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
    comparison: writeComparison(task.comparison, costs),
    hasEstimate: known.hasEstimate,
    used: { ...usedOf([task], order) },
  };
}

function cellsOf(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  hours: readonly HoursEntry[],
  target: TargetId,
  monday: LocalDay,
  span: Parameters<typeof loadPersonTimeline>[3],
  now: Instant,
): Cells {
  const cells: Cells = Array.from({ length: WEEK }, () => ({ scanned: 0, isOpen: false, entered: [] }));
  for (const stint of loadPersonTimeline(sql, facts, technician, span, now).stints)
    for (const piece of allocateStint(stint, facts)) {
      const cell = cells[piece.day - monday];
      if (piece.target !== target || !cell) continue;
      cell.scanned += piece.seconds;
      cell.isOpen ||= stint.open && piece.to === stint.to;
    }
  for (const { id, technician: who, targets, workType = 'run', day, seconds } of hours)
    if (who === technician && targets[0] === target)
      cells[day - monday]?.entered.push({ id, seconds, workType });
  return cells;
}
