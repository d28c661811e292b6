import { readInstant } from './storedTime.ts';
import { knownBy, letThroughBy } from './known.ts';
import { readEnvelope, readFields, readLaborEntry } from './stored.ts';
import type { RecordedFields } from './stored.ts';
import type { ScanJson } from '@wergon/contract/ledger';
import type { EntryId } from '@wergon/core/ledger';
import { Defect, isRecord } from '@wergon/core/result';
import { UserEntity } from '../access/index.ts';
import type { Database, Sql } from '../db/index.ts';
import { StationEntity } from '../shop/index.ts';

/** Names of stations and users by their ids. */
export type Names = ReadonlyMap<string, string>;

export async function loadNames(database: Database): Promise<Names> {
  const em = database.em.fork();
  const named = [...(await em.findAll(StationEntity)), ...(await em.findAll(UserEntity))];
  return new Map(named.map(({ id, name }) => [id, name]));
}

type Row = { seq: number; type: string; body: string; envelope: string };

/** An entry as it stands now, with who made it, where, and every correction of it. */
export function loadScan(sql: Sql, id: EntryId, names: Names): ScanJson {
  const [original, ...corrections] = sql.all<Row>(
    'select "seq", "type", "body", "envelope" from "journal" where "id" = ? or "corrects" = ? order by "seq"',
    [id, id],
  );
  const [effective] = sql.all<{ body: string }>('select "body" from "effective_entry" where "id" = ?', [id]);
  if (!original) throw new Defect(`a stint of entry ${id}, which is not recorded`);
  const entry = effective && readLaborEntry(effective.body);
  let before = readFields(original.body);
  const now = effective ? readFields(effective.body) : before;
  return {
    id,
    seq: original.seq,
    type: original.type,
    at: entry && 'at' in entry ? entry.at : null,
    ...around(original.envelope, names),
    knownBy: knownBy(sql, readEnvelope(original.envelope)),
    ...writeSaid(sql, now),
    letThroughBy: letThroughBy(sql, before['override']),
    corrections: corrections.map(({ type, body, envelope }) => {
      const { author, recordedAt } = around(envelope, names);
      const { why, set } = readFields(body);
      const was = before;
      const changed = isRecord(set) ? set : {};
      before = { ...before, ...changed };
      return {
        type,
        author,
        recordedAt,
        why: typeof why === 'string' ? why : null,
        changes: Object.entries(changed).map(([field, after]) => ({
          field,
          before: sayValue(was[field]),
          after: sayValue(after),
        })),
      };
    }),
  };
}

/** What was said of a start beside what it is on. */
export type SaidOfStart = { readonly machine: string | null; readonly reason: string | null };

const writeSaid = (sql: Sql, fields: RecordedFields): SaidOfStart => ({
  reason: sayValue(fields['reason']) || null,
  machine: machineOf(sql, fields['machine']),
});

/** The same of some entries as they count now. */
export const loadSaid = (sql: Sql, entries: readonly EntryId[]): ReadonlyMap<EntryId, SaidOfStart> =>
  new Map(
    sql
      .all<{ id: EntryId; body: string }>(
        'select "id", "body" from "effective_entry" where "id" in (select "value" from json_each(?))',
        [JSON.stringify(entries)],
      )
      .map(({ id, body }) => [id, writeSaid(sql, readFields(body))]),
  );

const around = (envelope: string, names: Names) => {
  const { author, recordedAt, source } = readEnvelope(envelope);
  return { author: names.get(author.id) ?? author.id, recordedAt: readInstant(recordedAt), source };
};

/** A machine by its name. */
export function machineOf(sql: Sql, id: unknown): string | null {
  if (typeof id !== 'string') return null;
  const [machine] = sql.all<{ name: string }>('select "name" from "resource" where "id" = ?', [id]);
  return machine?.name ?? id;
}

/** A value of an entry's field as text; empty for none. */
export const sayValue = (value: unknown): string =>
  value === undefined || value === null ? '' : Array.isArray(value) ? value.join(', ') : String(value);
