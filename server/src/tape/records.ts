import type { HoursEntry } from '@wergon/core/ledger';
import { planRecords } from '@wergon/core/tape';
import type { RecordsAct } from '@wergon/core/tape';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { earliestOf, latestOf, toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { readLaborEntry } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner, EditScope } from '../loose-ends/index.ts';
import { loadGround, refuseEdit } from './editContext.ts';
import { findFull } from './fullDays.ts';

type Asked = Pick<Call<'editRecords'>['body'], 'blocks' | 'hours' | 'act'>;

/** Several records of the tape and of what was written down: one thing done to all of them, seen first, undone as one. */
export function mountRecords(mount: Mount, context: LedgerContext): void {
  const { database, facts, clock } = context;
  const edits = createEditService(context);
  mount('previewRecords', async ({ body, who }) => {
    const known = await facts.get();
    const scope = await readSql(database, (sql) =>
      scopeOf(
        body,
        body.hours.flatMap((id) => findHours(sql, id) ?? []),
        known,
        clock.now(),
      ),
    );
    return edits.preview(who, scope, planOf(body));
  });
  mount('editRecords', ({ body, who }) =>
    edits.record(who, planOf(body), body.reason || 'put right together', body.once),
  );
}

const planOf =
  (asked: Asked): EditPlanner =>
  (sql, facts, now) => {
    const hours = asked.hours.map((id) => findHours(sql, id));
    const gone = hours.findIndex((entry) => entry === undefined);
    if (gone >= 0)
      return refuse('input.invalid', [{ field: `hours[${gone}]`, message: 'this has changed meanwhile' }]);
    const found = hours.flatMap((entry) => entry ?? []);
    const scope = scopeOf(asked, found, facts, now);
    if (scope.people.some((id) => !facts.technicians.has(id)))
      return refuse('input.invalid', [{ field: 'act.technician', message: 'no such technician' }]);
    const targets = asked.act.what === 'work' ? [asked.act.target] : [];
    if (targets.some((target) => !facts.targets.has(target)))
      return refuse('input.invalid', [{ field: 'act.target', message: 'no such task or activity' }]);
    const ground = loadGround(sql, facts, scope, targets, now);
    const full = findTooMuch(sql, asked.act, found, facts, now);
    if (full.length > 0) return refuse('hours.day_full', full);
    const planned = planRecords({ blocks: asked.blocks, hours: found }, asked.act, ground);
    return planned.ok
      ? ok({ ...scope, changes: planned.value })
      : refuseEdit(planned.code, planned.params, facts);
  };

/** Lengths that the day of whoever gets them cannot hold. */
function findTooMuch(
  sql: Sql,
  act: RecordsAct,
  hours: readonly HoursEntry[],
  facts: ShopFacts,
  now: Instant,
) {
  if (act.what !== 'give') return [];
  const { technician } = act;
  const parts = hours.flatMap((entry, i) =>
    entry.technician === technician
      ? []
      : [{ technician, day: entry.day, seconds: entry.seconds, field: `hours[${i}]` }],
  );
  return findFull(sql, facts, parts, new Set(), now);
}

/** Whose days are touched, and which: those of the records, and where they are moved or given to. */
function scopeOf(
  { blocks, act }: Asked,
  hours: readonly HoursEntry[],
  { zone }: ShopFacts,
  now: Instant,
): EditScope {
  const shift = act.what === 'shift' ? act.seconds : 0;
  const instants = blocks.flatMap(({ from, to }) => [from, to ?? now, from + shift, (to ?? now) + shift]);
  const days = [
    ...instants.map((at) => zone.dayAt(toInstant(Math.min(at, now)))),
    ...hours.map(({ day }) => day),
  ];
  const people = new Set<TechnicianId>([...blocks, ...hours].map(({ technician }) => technician));
  if (act.what === 'give') people.add(act.technician);
  const today = zone.dayAt(now);
  return {
    people: [...people],
    firstDay: days.length === 0 ? today : earliestOf(days),
    lastDay: days.length === 0 ? today : latestOf(days),
  };
}

/** A length that was written down, as it counts now. */
export function findHours(sql: Sql, id: string): HoursEntry | undefined {
  const [row] = sql.all<{ body: string }>(
    `select "body" from "effective_entry" where "id" = ? and "type" = 'hours'`,
    [id],
  );
  const entry = row && readLaborEntry(row.body);
  return entry?.type === 'hours' ? entry : undefined;
}
