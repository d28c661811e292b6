import { chargeDays, secondsOfDay } from '@wergon/core/ledger';
import type { AmendSet, HoursEntry } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Change } from '@wergon/core/loose-ends';
import { ok } from '@wergon/core/result';
import { findFullDays } from '@wergon/core/timesheet';
import { formatDay, inForceAt, earliestOf, latestOf, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { FieldProblem } from '@wergon/contract/wire';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, loadPersonTimeline, loadHours, readLaborEntry } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner } from '../loose-ends/index.ts';
import { DraftEntity } from './entities.ts';

type Row = Call<'enterHours'>['body']['rows'][number];

/** Time written down without a start and an end: for those who do not scan. */
export function mountHours(mount: Mount, context: LedgerContext): void {
  const { database } = context;
  const edits = createEditService(context);
  mount('enterHours', async ({ body: { rows, drafts, reason, once }, who }) => {
    const answer = await edits.record(who, planHours(rows), reason || 'written down', once);
    if (answer.ok && drafts.length > 0)
      await database.em.fork().nativeDelete(DraftEntity, { id: { $in: drafts }, user: who.user.id });
    return answer;
  });
}

const planHours =
  (rows: readonly Row[]): EditPlanner =>
  (sql, facts, now) => {
    const before = rows.map(({ entry }) => (entry === null ? undefined : findHours(sql, entry)));
    const errors = rows.flatMap((row, i) =>
      findErrors(sql, facts, row, before[i], now).map(({ field, message }) => ({
        field: `rows[${i}].${field}`,
        message,
      })),
    );
    if (errors.length > 0) return refuse('input.invalid', errors);
    const full = findFull(sql, facts, rows, before, now);
    if (full.length > 0) return refuse('hours.day_full', full);
    const days = rows.map(({ day }) => day);
    const changes = rows.flatMap((row, i) => changeFor(row, before[i]));
    return changes.length === 0
      ? refuse('edit.nothing')
      : ok({
          people: [...new Set(rows.map(({ technician }) => technician))],
          firstDay: earliestOf(days),
          lastDay: latestOf(days),
          changes,
        });
  };

function findHours(sql: Sql, id: string): HoursEntry | undefined {
  const [row] = sql.all<{ body: string }>(
    `select "body" from "effective_entry" where "id" = ? and "type" = 'hours'`,
    [id],
  );
  const entry = row && readLaborEntry(row.body);
  return entry?.type === 'hours' ? entry : undefined;
}

function findErrors(
  sql: Sql,
  facts: ShopFacts,
  { technician, target, day, entry }: Row,
  before: HoursEntry | undefined,
  now: Instant,
): FieldProblem[] {
  const errors: FieldProblem[] = [];
  if (!facts.technicians.has(technician)) errors.push({ field: 'technician', message: 'no such technician' });
  if (!facts.targets.has(target)) errors.push({ field: 'target', message: 'no such task or activity' });
  if (entry !== null && before?.technician !== technician)
    errors.push({ field: 'entry', message: 'this has changed meanwhile' });
  if (day > facts.zone.dayAt(now)) errors.push({ field: 'day', message: 'lies in the future' });
  const closedUntil = findClosedUntil(sql);
  if (closedUntil !== null && Math.min(day, before?.day ?? day) <= closedUntil)
    errors.push({ field: 'day', message: `${formatDay(day)} lies in a closed pay period` });
  const task = facts.tasks.get(target);
  const states = task && facts.orders.get(task.order)?.states;
  if (states && before?.targets[0] !== target && inForceAt(states, now) === 'closed')
    errors.push({ field: 'target', message: 'its order is closed' });
  return errors;
}

/** Rows that would make a day hold more than it has: stints and everything written down for it. */
function findFull(
  sql: Sql,
  facts: ShopFacts,
  rows: readonly Row[],
  before: readonly (HoursEntry | undefined)[],
  now: Instant,
): FieldProblem[] {
  const changed = new Set(before.map((each) => each?.id));
  const heldBefore = (technician: TechnicianId, day: LocalDay): number => {
    const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
    const { stints } = loadPersonTimeline(sql, facts, technician, span, now);
    const entered = loadHours(sql, day, day).filter(
      (entry) => entry.technician === technician && !changed.has(entry.id),
    );
    return secondsOfDay(chargeDays(stints, entered, facts), day);
  };
  const lengthOf = (day: LocalDay) => facts.zone.startOf(addDays(day, 1)) - facts.zone.startOf(day);
  return findFullDays(rows, heldBefore, lengthOf).flatMap((place) => {
    const row = rows[place];
    return row
      ? {
          field: `rows[${place}].seconds`,
          message: `${formatDay(row.day)} would hold more than ${lengthOf(row.day) / 3600} hours`,
        }
      : [];
  });
}

function changeFor(row: Row, before: HoursEntry | undefined): readonly Change[] {
  const { technician, target, workType, day, seconds } = row;
  const kind = workType === 'run' ? {} : { workType };
  if (!before)
    return seconds === 0 ? [] : [{ type: 'hours', technician, targets: [target], day, seconds, ...kind }];
  if (seconds === 0) return [{ type: 'void', target: before.id }];
  const set: AmendSet = {
    ...(before.seconds === seconds ? {} : { seconds }),
    ...(before.day === day ? {} : { day }),
    ...(before.targets[0] === target ? {} : { targets: [target] }),
    ...((before.workType ?? 'run') === workType ? {} : { workType: workType === 'run' ? null : workType }),
  };
  return Object.keys(set).length === 0 ? [] : [{ type: 'amend', target: before.id, set }];
}
