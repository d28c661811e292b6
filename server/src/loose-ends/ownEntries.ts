import { readEntry } from '../ledger/index.ts';
import { correctedEntry, isCorrection } from '@wergon/core/ledger';
import type { Entry, EntryId, LaborEntry } from '@wergon/core/ledger';
import type { Sql } from '../db/index.ts';

type JournalRow = { readonly body: string; readonly type: string };

/** An entry that this user made at the desk; absent for anybody else's. */
export function findOwnEntry(sql: Sql, id: EntryId, user: string): Entry | undefined {
  const [row] = sql.all<JournalRow>(
    `select j."body", j."type" from "journal" j join "entry_index" i on i."seq" = j."seq"
     where j."id" = ? and j."stream" = 'labor' and i."author_kind" = 'desk' and i."author" = ?`,
    [id, user],
  );
  return row && readEntry(row.body);
}

/** An entry as it counted before some corrections of it. */
export function findEntryBefore(sql: Sql, id: EntryId, without: readonly EntryId[]): LaborEntry | undefined {
  const [row] = sql.all<JournalRow>('select "body", "type" from "journal" where "id" = ?', [id]);
  if (!row) return undefined;
  const corrections = sql
    .all<JournalRow & { readonly id: EntryId }>(
      'select "id", "body", "type" from "journal" where "corrects" = ? order by "seq"',
      [id],
    )
    .filter((each) => !without.includes(each.id))
    .map(({ body }) => readEntry(body))
    .filter((entry) => isCorrection(entry));
  const entry = readEntry(row.body);
  return isCorrection(entry) ? undefined : correctedEntry(entry, corrections);
}
