import { nextLeaveStanding } from '@wergon/core/station';
import type { FloorEntry, LeaveStanding, LeaveState } from '@wergon/core/station';
import type { EntryId } from '@wergon/core/ledger';
import type { LeaveAsked, TechnicianId } from '@wergon/core/people';
import type { LocalDay, Seconds } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import { journalRows } from './journalRows.ts';
import type { FloorAnswer } from './incoming.ts';
import { readFloorEntry } from './stored.ts';

/** Time off that somebody asked for, and how it stands. */
export type LeaveRow = {
  readonly request: EntryId;
  readonly technician: TechnicianId;
  readonly kind: LeaveAsked['kind'];
  readonly first_day: LocalDay;
  readonly last_day: LocalDay;
  readonly seconds: Seconds | null;
  readonly standing: LeaveStanding;
};

export const leaveOfRow = ({ kind, first_day, last_day, seconds }: LeaveRow): LeaveAsked => ({
  ...{ kind, from: first_day, to: last_day, seconds },
});

/** How time off stands that was asked for; absent for any other request. */
export const findLeave = (sql: Sql, request: EntryId): LeaveRow | undefined =>
  sql.all<LeaveRow>('select * from "leave_request" where "request" = ?', [request])[0];

/** Keeps what was asked for, and what was said of it. */
export function keepLeave(sql: Sql, entry: FloorEntry | FloorAnswer): void {
  if (entry.type === 'request' && entry.leave) keepAsked(sql, entry, entry.leave);
  else if (entry.type === 'withdrawal') keepSaid(sql, entry.request, 'withdrawn');
  else if (entry.type === 'answer' && isLeaveState(entry.state)) keepSaid(sql, entry.request, entry.state);
}

const isLeaveState = (state: FloorAnswer['state']): state is LeaveState =>
  state === 'granted' || state === 'refused' || state === 'taken-out';

function keepAsked(
  sql: Sql,
  { id, technician }: Extract<FloorEntry, { type: 'request' }>,
  { kind, from, to, seconds = null }: LeaveAsked,
): void {
  sql.insert('leave_request', [
    { request: id, technician, kind, first_day: from, last_day: to, seconds, standing: 'asked' },
  ]);
}

function keepSaid(sql: Sql, request: EntryId, said: LeaveState | 'withdrawn'): void {
  const before = findLeave(sql, request);
  if (!before) return;
  const standing = nextLeaveStanding(before.standing, said);
  sql.run('update "leave_request" set "standing" = ? where "request" = ?', [standing, request]);
}

/** Derives it from the journal alone. */
export function rebuildLeave(sql: Sql): void {
  for (const { body, type } of journalRows(sql, 'floor'))
    if (type === 'request' || type === 'withdrawal' || type === 'answer')
      keepLeave(sql, readFloorEntry(body));
}
