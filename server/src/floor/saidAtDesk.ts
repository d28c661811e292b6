import type { FloorEntry } from '@wergon/core/station';
import { floorEntrySchema } from '@wergon/contract/station';
import { formatInstant } from '@wergon/core/time';
import type { FloorAnswer, Incoming } from '../ledger/index.ts';
import type { Sql } from '../db/index.ts';

/** What the desk says on the floor, as the journal takes it in; nothing where it was recorded when it was sent before. */
export function saidAtDesk(sql: Sql, entry: FloorEntry | FloorAnswer): readonly Incoming[] {
  const { id, at } = entry;
  if (sql.all('select 1 from "journal" where "id" = ?', [id]).length > 0) return [];
  const body = entry.type === 'answer' ? { ...entry, at: formatInstant(at) } : floorEntrySchema.encode(entry);
  const sent = { source: 'desk', via: [], action: id, deviceAt: at, clockOffset: 0 };
  return [{ kind: 'floor', id, body, entry, sent }];
}
