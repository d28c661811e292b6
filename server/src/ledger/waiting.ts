import { readLaborEntry, writeLaborEntry } from './stored.ts';
import { CLOCK_TOLERANCE } from '@wergon/core/ledger';
import type { LaborEntry } from '@wergon/core/ledger';
import type { Instant, Zone } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';

/** When an entry is taken into the projections: once its time has come. A clock that runs ahead must not make what a
 *  person does now look over; so what it says waits, and nothing that is asked as of now sees it.
 *  Source: docs/ledger.md, section 4. */
export const dueOf = (entry: LaborEntry, zone: Zone): number =>
  entry.type === 'hours' ? zone.startOf(entry.day) : entry.at - CLOCK_TOLERANCE;

/** Sets an entry aside until its time has come. */
export const waitForDue = (sql: Sql, zone: Zone, entry: LaborEntry, seq: number): void =>
  sql.insert('waiting_entry', [{ id: entry.id, seq, due: dueOf(entry, zone), body: writeLaborEntry(entry) }]);

/** Takes out the entries whose time has come, in the order of recording. */
export function takeDue(sql: Sql, now: Instant): { readonly entry: LaborEntry; readonly seq: number }[] {
  const rows = sql.all<{ seq: number; body: string }>(
    'select "seq", "body" from "waiting_entry" where "due" <= ? order by "seq"',
    [now],
  );
  if (rows.length > 0) sql.run('delete from "waiting_entry" where "due" <= ?', [now]);
  return rows.map(({ seq, body }) => ({ seq, entry: readLaborEntry(body) }));
}

/** Whether an entry's time has come since anything was last recorded. */
export const isAnyDue = (sql: Sql, now: Instant): boolean =>
  sql.all('select 1 from "waiting_entry" where "due" <= ? limit 1', [now]).length > 0;
