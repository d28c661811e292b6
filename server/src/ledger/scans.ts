import type { ScanJson } from '@wergon/contract/ledger';
import { Defect } from '@wergon/core/result';
import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { UserEntity } from '../access/index.ts';
import type { Database, Sql } from '../db/index.ts';
import { StationEntity } from '../shop/index.ts';
import type { Envelope } from './envelope.ts';

/** Names of stations and users by their ids. */
export type Names = ReadonlyMap<string, string>;

export async function loadNames(database: Database): Promise<Names> {
  const em = database.em.fork();
  const named = [...(await em.findAll(StationEntity)), ...(await em.findAll(UserEntity))];
  return new Map(named.map(({ id, name }) => [id, name]));
}

type Body = Readonly<Record<string, unknown>>;
type Row = { seq: number; type: string; body: string; envelope: string };

/** An entry as it stands now, with who made it, where, and every correction of it. */
export function loadScan(sql: Sql, id: string, names: Names): ScanJson {
  const [original, ...corrections] = sql.all<Row>(
    'select "seq", "type", "body", "envelope" from "journal" where "id" = ? or "corrects" = ? order by "seq"',
    [id, id],
  );
  const [effective] = sql.all<{ body: string }>('select "body" from "effective_entry" where "id" = ?', [id]);
  if (!original) throw new Defect(`a stint of entry ${id}, which is not recorded`);
  const { at } = JSON.parse(effective?.body ?? '{}') as { readonly at?: Instant };
  let before = JSON.parse(original.body) as Body;
  return {
    id,
    seq: original.seq,
    type: original.type,
    at: at === undefined ? null : formatInstant(at),
    ...around(original.envelope, names),
    corrections: corrections.map(({ type, body, envelope }) => {
      const { author, recordedAt } = around(envelope, names);
      const { why, set = {} } = JSON.parse(body) as { readonly why?: string; readonly set?: Body };
      const was = before;
      before = { ...before, ...set };
      return {
        type,
        author,
        recordedAt,
        why: why ?? null,
        changes: Object.entries(set).map(([field, after]) => ({
          field,
          before: sayValue(was[field]),
          after: sayValue(after),
        })),
      };
    }),
  };
}

const around = (envelope: string, names: Names) => {
  const { author, recordedAt, source } = JSON.parse(envelope) as Envelope;
  return { author: names.get(author.id) ?? author.id, recordedAt, source };
};

/** A value of an entry's field as text; empty for none. */
export const sayValue = (value: unknown): string =>
  value === undefined || value === null ? '' : Array.isArray(value) ? value.join(', ') : String(value);
