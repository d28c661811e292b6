import type { OwnTimeOffJson } from '@wergon/contract/pay';
import type { EntryId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import type { FloorEntry } from '@wergon/core/station';
import { calendarYear } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { estimateSeconds } from '@wergon/core/work';
import { ownId } from '../attendance/index.ts';
import { newId, readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { findAnswers, saidAtDesk } from '../floor/index.ts';
import { refuse } from '../http/index.ts';
import type { DeskWho, Mount } from '../http/index.ts';
import { leaveOfRow, readFloorEntry } from '../ledger/index.ts';
import type { LeaveRow, LedgerContext } from '../ledger/index.ts';
import { loadLeaveYear } from '../people/index.ts';

/** So many of somebody's own requests are told. */
const TOLD = 30;

/** Routes by which whoever has a place on the floor asks for time off at the desk, and takes it back. */
export function mountOwnTimeOff(mount: Mount, { database, clock, facts, journal }: LedgerContext): void {
  mount('ownTimeOff', async ({ who }) => {
    const known = await facts.get();
    const technician = ownId(who, known);
    if (technician === undefined) return refuse('access.not_on_floor');
    const today = known.zone.dayAt(clock.now());
    const year = calendarYear(today);
    const of = await loadLeaveYear(database.em.fork(), year, [technician]);
    return ok({
      year,
      balances: [...of(technician).balances(today)],
      requests: await readSql(database, (sql) => loadOwnRequests(sql, technician)),
    });
  });

  /** Says something for oneself: recorded once however often it is sent. */
  async function say(
    who: DeskWho,
    once: string | undefined,
    entryOf: (id: EntryId, at: Instant, own: TechnicianId) => FloorEntry,
  ) {
    const technician = ownId(who, await facts.get());
    if (technician === undefined) return refuse('access.not_on_floor');
    const at = clock.now();
    const entry = entryOf(newId<EntryId>(once), at, technician);
    const author = { kind: 'desk', id: who.user.id } as const;
    const done = await journal.appendAll(author, (sql) => ok(saidAtDesk(sql, entry)));
    if (!done.ok) return done;
    return done.outcomes.some(({ result }) => result === 'refused') ? refuse('record.not_found') : ok(null);
  }

  mount('askTimeOff', ({ body: { from, to, kind, hours, text, once }, who }) =>
    say(who, once, (id, at, technician) => ({
      ...{ id, type: 'request', at, technician, what: 'time-off', target: null, text },
      ...{ quantity: null, why: '' },
      leave: { kind, from, to, seconds: hours === null ? null : estimateSeconds({ runHours: hours }, 1) },
    })),
  );

  mount('withdrawTimeOff', ({ body: { request, once }, who }) =>
    say(who, once, (id, at, technician) => ({ id, type: 'withdrawal', at, technician, request })),
  );
}

function loadOwnRequests(sql: Sql, technician: TechnicianId): OwnTimeOffJson['requests'] {
  const rows = sql.all<LeaveRow & { readonly body: string }>(
    `select l.*, j."body" from "leave_request" l join "journal" j on j."id" = l."request"
     where l."technician" = ? order by j."seq" desc limit ${TOLD}`,
    [technician],
  );
  return rows.map((row) => {
    const [answer] = findAnswers(sql, row.request);
    return {
      ...leaveOfRow(row),
      seconds: row.seconds,
      request: row.request,
      at: readFloorEntry<'request'>(row.body).at,
      standing: row.standing,
      answer: answer ? { by: answer.by, text: answer.text } : null,
    };
  });
}
