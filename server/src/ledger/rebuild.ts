import { entrySchema } from '@wergon/contract/ledger';
import { correctedEntry, isClockAhead, isCorrection } from '@wergon/core/ledger';
import type { Correction, Entry } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { parseInstant } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Database, Row, Sql } from '../db/index.ts';
import { readSql, writeSql } from '../db/index.ts';
import type { ShopFacts } from '../shop/facts.ts';
import type { Envelope } from './envelope.ts';
import { GENESIS, chainHash } from './envelope.ts';
import { DECISION_TABLES, projectDecision } from './decisionRows.ts';
import { readDecision } from './readDecision.ts';
import { deriveDays, deriveLines, effectiveRows } from './projection.ts';
import { clockLooseEnd } from './record.ts';

/** Every table that can be thrown away. */
export const PROJECTIONS = [
  'effective_entry',
  'labor_state',
  'stint',
  'presence',
  'loose_end',
  'labor_line',
  'task_mark',
  ...DECISION_TABLES,
] as const;

const ROWS_AT_ONCE = 5_000;

type JournalRow = { seq: number; id: string; type: string; body: string; envelope: string; hash: string };

/** The rows of the journal in order, a page at a time. */
function* journalRows(sql: Sql, stream?: string): Generator<JournalRow> {
  for (let after = 0; ;) {
    const rows = sql.all<JournalRow>(
      `select "seq", "id", "type", "body", "envelope", "hash" from "journal" where "seq" > ? ${stream ? 'and "stream" = ?' : ''} order by "seq" limit ${ROWS_AT_ONCE}`,
      stream ? [after, stream] : [after],
    );
    yield* rows;
    const last = rows.at(-1);
    if (!last) return;
    after = last.seq;
  }
}

/** Throws the projections away and derives them from the journal alone. Returns the number of labor entries. */
export function rebuild(database: Database, facts: ShopFacts): Promise<number> {
  return writeSql(database, (sql) => {
    for (const table of PROJECTIONS) sql.run(`delete from "${table}"`);
    for (const { body } of journalRows(sql, 'decision')) projectDecision(sql, readDecision(body));
    const count = rebuildEffective(sql, facts);
    const technicians = sql.all<{ technician: TechnicianId }>(
      'select distinct "technician" from "effective_entry" where "technician" is not null',
    );
    for (const { technician } of technicians) {
      const days = sql.all<{ day: LocalDay; type: string }>(
        `select distinct "day", "type" = 'hours' as "type" from "effective_entry" where "technician" = ?`,
        [technician],
      );
      const timed = days.filter(({ type }) => Number(type) === 0).map(({ day }) => day);
      const lineDays = new Set(days.filter(({ type }) => Number(type) === 1).map(({ day }) => day));
      if (timed.length > 0) deriveDays(sql, facts, technician, new Set(timed), lineDays);
      deriveLines(sql, facts, technician, lineDays);
    }
    return count;
  });
}

function rebuildEffective(sql: Sql, facts: ShopFacts): number {
  const corrections = new Map<string, Correction[]>();
  const parse = (body: string) => entrySchema.parse(JSON.parse(body)) as Entry;
  for (const { type, body } of journalRows(sql, 'labor')) {
    if (type !== 'void' && type !== 'restore' && type !== 'amend') continue;
    const entry = parse(body);
    if (isCorrection(entry)) corrections.set(entry.target, [...(corrections.get(entry.target) ?? []), entry]);
  }
  let count = 0;
  let rows: Row[] = [];
  const flush = () => {
    sql.insert('effective_entry', rows);
    rows = [];
  };
  for (const { seq, body, envelope } of journalRows(sql, 'labor')) {
    count += 1;
    const entry = parse(body);
    if (isCorrection(entry)) continue;
    rebuildClock(sql, entry, envelope);
    const effective = correctedEntry(entry, corrections.get(entry.id) ?? []);
    if (!effective) continue;
    const { row, marks } = effectiveRows(facts, effective, seq);
    rows.push(row);
    sql.insert('task_mark', marks);
    if (rows.length >= ROWS_AT_ONCE) flush();
  }
  flush();
  return count;
}

function rebuildClock(sql: Sql, entry: Entry, envelopeText: string): void {
  const { author, recordedAt } = JSON.parse(envelopeText) as Envelope;
  const recorded = parseInstant(recordedAt);
  if (author.kind !== 'station' || !('at' in entry) || !recorded.ok) return;
  if (isClockAhead(entry.at, recorded.value)) sql.insert('loose_end', [clockLooseEnd(entry, recorded.value)]);
}

type Walked = { readonly count: number; readonly hash: string; readonly broken: number | undefined };

/** Walks the chain from an entry and its hash on, a number of entries at the most; gives how far it came. */
export function verifyPart(sql: Sql, after: number, hash: string, most: number): Walked {
  let [count, previous] = [after, hash];
  const rows = sql.all<JournalRow>(
    'select "seq", "id", "type", "body", "envelope", "hash" from "journal" where "seq" > ? order by "seq" limit ?',
    [after, most],
  );
  for (const { seq, id, type, body, envelope, hash: own } of rows) {
    const entry = JSON.parse(body) as { readonly id: unknown; readonly type: unknown };
    const isItself = entry.id === id && entry.type === type && (JSON.parse(envelope) as Envelope).seq === seq;
    const isNext = seq === count + 1 && isItself;
    if (!isNext || chainHash(body, envelope, previous) !== own) return { count, hash: previous, broken: seq };
    previous = own;
    count += 1;
  }
  return { count, hash: previous, broken: undefined };
}

/** Walks the whole chain; gives the number of entries, and the first one that does not fit, if there is one. */
export const verifyChain = (
  database: Database,
): Promise<{ readonly count: number; readonly broken: number | undefined }> =>
  readSql(database, (sql) => {
    let walked: Walked = { count: 0, hash: GENESIS, broken: undefined };
    for (;;) {
      const next = verifyPart(sql, walked.count, walked.hash, ROWS_AT_ONCE);
      if (next.broken !== undefined || next.count === walked.count)
        return { count: next.count, broken: next.broken };
      walked = next;
    }
  });
