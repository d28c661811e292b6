import { createHash } from 'node:crypto';
import { hoursRowSchema } from '@wergon/contract/exchange';
import type { HoursRow } from '@wergon/contract/exchange';
import { entrySchema } from '@wergon/contract/ledger';
import type { Entry, EntryId, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy, itemAt, ok } from '@wergon/core/result';
import { formatDay, toSeconds } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { newId, readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import { findClosedUntil, readLaborEntry, refusalOf } from '../ledger/index.ts';
import type { Incoming, LedgerContext } from '../ledger/index.ts';
import { entersElsewhere } from '../shop/index.ts';
import { inParts } from './list.ts';
import type { Judged, List } from './list.ts';

/** What somebody was on on a day, by the entry that it is. */
type Line = { readonly id: EntryId; readonly technician: TechnicianId; readonly target: TargetId };

/** So many lines are recorded at a time: scans go on between them. */
const LINES_AT_ONCE = 250;
const MOST_SECONDS = 86_400;
const WHY = 'came in anew';

/** Hours of work that are entered elsewhere, in a shop that says so. What belongs to one person, day, task, kind of work and
 *  class of pay is one entry of the journal, however often it comes in: other hours change it, 0 takes it out.
 *  Source: docs/pay.md, time that is entered elsewhere. */
export const createHours = ({ database, clock, facts, journal }: LedgerContext): List<HoursRow> => ({
  schema: hoursRowSchema,
  isOfPeople: true,
  groupOf: (row) => ['number', 'day', 'order', 'task'].map((field) => (row[field] ?? '').trim()).join(' '),
  refuse: async () => (entersElsewhere((await facts.get()).shop) ? undefined : refuse('pay.time_from_here')),
  validateRows: async (_em, rows) => {
    const known = await facts.get();
    const today = known.zone.dayAt(clock.now());
    const found = rows.map(lineFinder(known));
    const lines = linesOf(rows, found);
    const { stored, closedUntil } = await readSql(database, (sql) => ({
      stored: loadStored(sql, [...lines.keys()]),
      closedUntil: findClosedUntil(sql),
    }));
    return rows.map(({ day }, i): Judged => {
      const line = itemAt(found, i);
      if (!('id' in line)) return line;
      if (closedUntil !== null && day <= closedUntil)
        return { field: 'day', message: `${formatDay(day)} lies in a closed pay period` };
      if (day > today) return { field: 'day', message: 'lies ahead' };
      const seconds = lines.get(line.id)?.seconds ?? 0;
      if (seconds > MOST_SECONDS) return { field: 'hours', message: 'a day holds no more than 24 hours' };
      const before = stored.get(line.id);
      if (seconds === (before ?? 0)) return 'same';
      return before === undefined ? 'new' : 'changed';
    });
  },
  record: async (rows, { user }) => {
    const found = rows.map(lineFinder(await facts.get()));
    for (const part of inParts([...linesOf(rows, found).values()], LINES_AT_ONCE)) {
      const done = await journal.appendAll({ kind: 'import', id: user.id }, (sql) => {
        const stored = loadStored(
          sql,
          part.map(({ id }) => id),
        );
        const made = part.flatMap((line) => entriesOf(line, stored.get(line.id), user.name));
        return ok(made.map((entry) => incomingOf(entry, clock.now())));
      });
      const refusal = done.ok ? refusalOf(done.outcomes) : done;
      if (refusal) return refusal;
    }
    return undefined;
  },
});

type Found = Line | { readonly field: string; readonly message: string };

/** Finds whom and what a row names: a task by its order and title, an activity by its title alone. */
function lineFinder({ technicians, orders, tasksByOrder, activities }: ShopFacts): (row: HoursRow) => Found {
  const key = (text: string) => text.toLowerCase();
  const people = new Map([...technicians.values()].map(({ id, number }) => [number, id]));
  const byNumber = new Map([...orders.values()].map(({ id, number }) => [key(number), id]));
  const indirect = new Map([...activities.values()].map(({ id, title }) => [key(title), id]));
  const targetOf = ({ order, task }: HoursRow): TargetId | Exclude<Found, Line> => {
    if (order === '')
      return indirect.get(key(task)) ?? { field: 'task', message: `no activity is called “${task}”` };
    const id = byNumber.get(key(order));
    if (id === undefined) return { field: 'order', message: `no order has the number “${order}”` };
    const own = (tasksByOrder.get(id) ?? []).filter(({ title }) => task === '' || key(title) === key(task));
    const [only] = own;
    if (!only) return { field: 'task', message: `no task of this order is called “${task}”` };
    return own.length === 1
      ? only.id
      : { field: 'task', message: 'more than one task of this order is called so' };
  };
  return (row) => {
    const technician = people.get(row.number);
    if (technician === undefined)
      return { field: 'number', message: `nobody has the number “${row.number}”` };
    const target = targetOf(row);
    if (typeof target !== 'string') return target;
    const { day, workType, payClass } = row;
    const name = [technician, formatDay(day), target, workType, payClass ?? ''].join(' ');
    const id = createHash('sha256').update(name).digest('hex').slice(0, 32) as EntryId;
    return { id, technician, target };
  };
}

type Whole = Line & Omit<HoursRow, 'number' | 'order' | 'task'>;

/** Rows of one entry, added up. */
const linesOf = (rows: readonly HoursRow[], found: readonly Found[]): ReadonlyMap<EntryId, Whole> =>
  new Map(
    [
      ...groupBy(
        rows.flatMap((row, i) => {
          const line = itemAt(found, i);
          return 'id' in line ? [{ ...row, ...line }] : [];
        }),
        ({ id }) => id,
      ),
    ].map(([id, own]) => [
      id,
      { ...itemAt(own, 0), seconds: toSeconds(own.reduce((sum, { seconds }) => sum + seconds, 0)) },
    ]),
  );

/** What came in before, in seconds; 0 where it was taken out since. */
function loadStored(sql: Sql, ids: readonly EntryId[]): ReadonlyMap<EntryId, number> {
  const rows = sql.all<{ id: EntryId; body: string | null }>(
    `select j."id", e."body" from json_each(?) t join "journal" j on j."id" = t."value"
     left join "effective_entry" e on e."id" = j."id"`,
    [JSON.stringify(ids)],
  );
  return new Map(
    rows.map(({ id, body }) => {
      const entry = body === null ? undefined : readLaborEntry(body);
      return [id, entry?.type === 'hours' ? entry.seconds : 0];
    }),
  );
}

/** What must be recorded so that a line stands there as it came. */
function entriesOf(line: Whole, before: number | undefined, by: string): readonly Entry[] {
  const { id, technician, target, day, workType, payClass, seconds } = line;
  if (seconds === (before ?? 0)) return [];
  if (before === undefined)
    return [
      {
        ...{ id, type: 'hours', technician, targets: [target], workType, day, seconds },
        ...(payClass === undefined ? {} : { payClass }),
      },
    ];
  const correction = { target: id, by, why: WHY };
  if (seconds === 0) return [{ id: newId<EntryId>(), type: 'void', ...correction }];
  return [
    ...(before === 0 ? [{ id: newId<EntryId>(), type: 'restore' as const, ...correction }] : []),
    { id: newId<EntryId>(), type: 'amend', ...correction, set: { seconds } },
  ];
}

const incomingOf = (entry: Entry, now: Instant): Incoming => ({
  ...{ kind: 'labor', id: entry.id, entry, body: entrySchema.encode(entry) },
  sent: { source: 'import', via: [], action: entry.id, deviceAt: now, clockOffset: 0 },
});
