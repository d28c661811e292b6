import { lacksUsed, rebuildUsed } from './usedTime.ts';
import { insertNamed, lacksNamed, namedBy, rebuildNamed } from './namedTargets.ts';
import { readEntry, readEnvelope, writeTimes } from './stored.ts';
import { canonicalJson, correctedEntry, isClockAhead, isCorrection } from '@wergon/core/ledger';
import type { Correction, Entry, LaborEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { parseInstant, addDays } from '@wergon/core/time';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';
import type { Database, Row, Sql } from '../db/index.ts';
import { readOwnJson, readSql, writeSql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { journalRows } from './journalRows.ts';
import { rebuildLeave } from './leaveRows.ts';
import { DECISION_TABLES, findClosedUntil, markUnsettled, projectDecision } from './decisionRows.ts';
import { readDecision } from './decision.ts';
import { countPieces, effectiveRows } from './effectiveEntries.ts';
import { SHIFT_BEGINS } from './laborLines.ts';
import { derivePersonAnew } from './derivePerson.ts';
import { rebuildIndex } from './entryIndex.ts';
import { deriveAllDue } from './dueDerivation.ts';
import { dueOf, waitForDue } from './waiting.ts';
import { clockLooseEnd } from './record.ts';

/** Every table that can be thrown away. */
export const PROJECTIONS = [
  'entry_index',
  'named_target',
  'used_time',
  'waiting_entry',
  'effective_entry',
  'piece_count',
  'labor_state',
  'stint',
  'presence',
  'loose_end',
  'labor_line',
  'line_premium',
  'pay_day',
  'line_part',
  'task_mark',
  'leave_request',
  ...DECISION_TABLES,
] as const;

const ROWS_AT_ONCE = 5_000;

/** Throws the projections away and derives them from the journal alone. Returns the number of labor entries. */
export function rebuild(database: Database, facts: ShopFacts, now: Instant): Promise<number> {
  return writeSql(database, (sql) => comparedLater(sql, () => rebuildAll(sql, facts, now)));
}

function rebuildAll(sql: Sql, facts: ShopFacts, now: Instant): number {
  const unsettled = sql.all('select * from "unsettled_day"');
  // Only where a period is closed does anybody ask what its lines were.
  const isClosed = sql.all('select 1 from "pay_period" limit 1').length > 0;
  sql.run(`create temp table "line_before" as select * from "labor_line" ${isClosed ? '' : 'where false'}`);
  for (const table of [...PROJECTIONS, 'due_derivation']) sql.run(`delete from "${table}"`);
  for (const { body } of journalRows(sql, 'decision')) projectDecision(sql, readDecision(body));
  rebuildLeave(sql);
  const count = withoutIndexes(sql, LOOKED_UP_LATER, () => {
    rebuildIndex(sql, facts.zone);
    return rebuildEffective(sql, facts, now);
  });
  const technicians = sql.all<{ technician: TechnicianId }>(
    'select distinct "technician" from "effective_entry" where "technician" is not null',
  );
  withoutIndexes(sql, NOT_LOOKED_UP, () => {
    for (const { technician } of technicians) derivePersonAnew(sql, facts, technician);
  });
  rebuildUsed(sql);
  settleAgain(sql, unsettled);
  return count;
}

/** What entries are looked up by once all of them are there. */
const LOOKED_UP_LATER = [
  'entry_index_stream_type_day_index',
  'entry_index_technician_index',
  'entry_index_recorded_at_index',
  'entry_index_about_index',
  'effective_entry_technician_day_index',
  'effective_entry_type_day_index',
  'effective_entry_target_index',
];
/** What nobody looks up while days are derived. */
const NOT_LOOKED_UP = [
  'labor_line_target_index',
  'labor_line_day_index',
  'line_part_day_index',
  'stint_to_at_index',
  'presence_to_at_index',
  'loose_end_settled_day_index',
];

type Made = { readonly name: string; readonly sql: string };

/** Fills tables without what they are looked up by, which is made at the end: in one sorting, and not row by row. */
function withoutIndexes<T>(sql: Sql, names: readonly string[], work: () => T): T {
  const indexes = sql.all<Made>(
    `select "name", "sql" from "sqlite_master" where "type" = 'index'
     and "name" in (select "value" from json_each(?))`,
    [JSON.stringify(names)],
  );
  return without(sql, 'index', indexes, work);
}

/** Every job is due to be compared anew afterwards; that need not be written down with every row. */
function comparedLater<T>(sql: Sql, work: () => T): T {
  const triggers = sql.all<Made>(
    `select "name", "sql" from "sqlite_master" where "type" = 'trigger' and "name" like 'due_job_%'`,
  );
  const done = without(sql, 'trigger', triggers, work);
  sql.run('delete from "finished_job"');
  sql.run('insert into "due_job" select "id" from "work_order" where true on conflict do nothing');
  return done;
}

function without<T>(sql: Sql, kind: 'index' | 'trigger', made: readonly Made[], work: () => T): T {
  for (const { name } of made) sql.run(`drop ${kind} "${name}"`);
  const done = work();
  for (const { sql: statement } of made) sql.run(statement);
  return done;
}

/** Which days of closed periods are looked at for adjustments stays as it was; days whose lines came out otherwise are
 *  looked at too. */
function settleAgain(sql: Sql, unsettled: readonly Row[]): void {
  const closedUntil = findClosedUntil(sql);
  const changed =
    closedUntil === null
      ? []
      : sql.all<{ technician: TechnicianId; day: LocalDay }>(
          `select "technician", "day" from (select * from "line_before" except select * from "labor_line")
           union select "technician", "day" from (select * from "labor_line" except select * from "line_before")`,
        );
  sql.run('drop table "line_before"');
  sql.run('delete from "unsettled_day"');
  sql.insert('unsettled_day', unsettled);
  if (closedUntil === null) return;
  const days = changed.flatMap(({ technician, day }) =>
    SHIFT_BEGINS.map((back) => ({ technician, day: addDays(day, -back) })),
  );
  markUnsettled(
    sql,
    days.filter(({ day }) => day <= closedUntil),
  );
}

/** Makes the projections of data of an older version what they are in this one: derives everything anew where they do not
 *  reach to the journal's end, because an older version knew less of it. Returns whether that was so. */
export async function catchUp(database: Database, facts: ShopFacts, now: Instant): Promise<boolean> {
  const { isBehind, isOfOldForm, isUnnamed, isUnsummed } = await readSql(database, (sql) => {
    const [row] = sql.all<{ journal: number | null; index: number | null }>(
      'select (select max("seq") from "journal") as "journal", (select max("seq") from "entry_index") as "index"',
    );
    return {
      isBehind: (row?.journal ?? 0) > (row?.index ?? 0),
      isOfOldForm: holdsOldForm(sql),
      isUnnamed: lacksNamed(sql),
      isUnsummed: lacksUsed(sql),
    };
  });
  if (isBehind) await rebuild(database, facts, now);
  else if (isOfOldForm || isUnnamed || isUnsummed)
    await writeSql(database, (sql) => {
      if (isOfOldForm) turnToText(sql);
      if (isUnnamed) rebuildNamed(sql);
      if (isUnsummed) rebuildUsed(sql);
    });
  await deriveAllDue(database, facts);
  return isBehind;
}

/** Tables that hold entries beside the journal. */
const HOLDING_ENTRIES = ['effective_entry', 'waiting_entry'] as const;
type OldForm = Omit<LaborEntry, 'at' | 'day'> & { readonly at?: Instant; readonly day?: LocalDay };
/** Before entries were in one form everywhere, their instants and days were numbers beside the journal. */
const isOld = (body: string): boolean => /"(at|day)":-?\d/.test(body);

const holdsOldForm = (sql: Sql): boolean =>
  HOLDING_ENTRIES.some((table) =>
    sql.all<{ body: string }>(`select "body" from "${table}" limit 1`).some(({ body }) => isOld(body)),
  );

/** Writes entries beside the journal in the form that they have in it. */
function turnToText(sql: Sql): void {
  for (const table of HOLDING_ENTRIES)
    for (let after = ''; ;) {
      const rows = sql.all<{ id: string; body: string }>(
        `select "id", "body" from "${table}" where "id" > ? order by "id" limit ${ROWS_AT_ONCE}`,
        [after],
      );
      for (const { id, body } of rows)
        if (isOld(body))
          sql.run(`update "${table}" set "body" = ? where "id" = ?`, [
            canonicalJson(writeTimes(readOwnJson<OldForm>(body))),
            id,
          ]);
      const last = rows.at(-1);
      if (!last) break;
      after = last.id;
    }
}

function rebuildEffective(sql: Sql, facts: ShopFacts, now: Instant): number {
  const corrections = new Map<string, Correction[]>();
  for (const { body } of sql.all<{ body: string }>(
    'select "body" from "journal" where "corrects" is not null order by "seq"',
  )) {
    const entry = readEntry(body);
    if (isCorrection(entry)) corrections.set(entry.target, [...(corrections.get(entry.target) ?? []), entry]);
  }
  const named = new Set<TargetId>();
  let count = 0;
  let rows: Row[] = [];
  const flush = () => {
    sql.insert('effective_entry', rows);
    rows = [];
  };
  for (const { seq, body, envelope } of journalRows(sql, 'labor')) {
    count += 1;
    const entry = readEntry(body);
    for (const target of namedBy(entry)) named.add(target);
    if (isCorrection(entry)) continue;
    rebuildClock(sql, facts.zone, entry, envelope);
    const effective = correctedEntry(entry, corrections.get(entry.id) ?? []);
    if (!effective) continue;
    if (dueOf(effective, facts.zone) > now) {
      waitForDue(sql, facts.zone, effective, seq);
      continue;
    }
    countPieces(sql, effective, 1);
    const { row, marks } = effectiveRows(facts, effective, seq);
    rows.push(row);
    sql.insert('task_mark', marks);
    if (rows.length >= ROWS_AT_ONCE) flush();
  }
  flush();
  insertNamed(sql, named);
  return count;
}

function rebuildClock(sql: Sql, zone: Zone, entry: Entry, envelopeText: string): void {
  const { author, recordedAt } = readEnvelope(envelopeText);
  const recorded = parseInstant(recordedAt);
  if (author.kind !== 'station' || !('at' in entry) || !recorded.ok) return;
  if (isClockAhead(entry.at, recorded.value))
    sql.insert('loose_end', [clockLooseEnd(entry, recorded.value, zone)]);
}
