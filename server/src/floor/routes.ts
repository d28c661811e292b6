import type { EntryId } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import type { FloorAnswer, LedgerContext } from '../ledger/index.ts';
import type { DeskWho, Mount } from '../http/index.ts';
import type { TechnicianId } from '@wergon/core/people';
import { LEAVE_STATES, PART_STATES, planOfAnswer } from '@wergon/core/station';
import type { AnswerState, LeaveState, RequestKind } from '@wergon/core/station';
import { refuse } from '../http/index.ts';
import { newId, readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, findLeave, leaveOfRow, loadNames, readChanges } from '../ledger/index.ts';
import { StationEntity, UnitEntity } from '../shop/index.ts';
import { loadFloor, loadFloorPart } from './board.ts';
import { loadPlans } from '../people/index.ts';
import { loadLatest } from './latest.ts';
import { aroundLeave, dropLeave, loadAround, loadWaitingLeave, planLeave } from './leave.ts';
import { findRequest, loadRequests } from './requests.ts';
import { saidAtDesk } from './saidAtDesk.ts';

/** Of a part it is said how it stands, of time off whether it is granted, of anything else nothing. */
function refuseState(what: RequestKind, state: AnswerState | null) {
  const known: readonly string[] = what === 'part' ? PART_STATES : what === 'time-off' ? LEAVE_STATES : [];
  return state === null || known.includes(state)
    ? undefined
    : refuse('input.invalid', [{ field: 'state', message: 'is not said of such a request' }]);
}

/** Time off is granted or not by whoever approves time or plans people, and by nobody for themselves. */
function refuseLeave({ technician }: { readonly technician: TechnicianId }, who: DeskWho) {
  if (!who.rights.has('time.approve') && !who.rights.has('people.change'))
    return refuse('access.not_allowed');
  return who.user.technician === technician ? refuse('approve.own') : undefined;
}

const isLeaveState = (state: AnswerState | null): state is LeaveState =>
  LEAVE_STATES.some((each) => each === state);

/** Puts time off into the plan, or takes out what this request was granted before; in a closed period neither. */
function changeLeave(sql: Sql, request: EntryId, state: AnswerState | null, isPaid: boolean) {
  const row = findLeave(sql, request);
  if (!row || !isLeaveState(state)) return undefined;
  const change = planOfAnswer(row.standing, state);
  if (change === 'nothing') return undefined;
  if (change !== 'in' && change !== 'out') return refuse(change);
  const closed = findClosedUntil(sql);
  if (closed !== null && row.first_day <= closed) return refuse('approve.closed');
  if (change === 'out') dropLeave(sql, row);
  // What is granted already, and not wanted, stays as it was granted.
  else if (row.standing !== 'not-wanted') planLeave(sql, row.technician, leaveOfRow(row), isPaid);
  return undefined;
}

export function mountFloor(mount: Mount, { database, clock, facts, journal, live }: LedgerContext): void {
  const unitWordsOf = async () =>
    new Map(
      (await database.em.fork().findAll(UnitEntity)).map(({ id, type, maker, serialNumber }) => [
        id,
        [maker, type, serialNumber].filter((part) => part !== '').join(' '),
      ]),
    );

  mount('floor', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    const day = query.day ?? known.zone.dayAt(now);
    const plans = await loadPlans(database.em.fork(), day, day);
    const units = await unitWordsOf();
    return ok(await readSql(database, (sql) => loadFloor(sql, known, day, now, plans, units)));
  });

  mount('floorChanges', async ({ query: { after, day }, who }) => {
    const known = await facts.seenBy(who.user);
    const units = await unitWordsOf();
    const now = clock.now();
    return ok(
      await readChanges(database, live, after, (sql, part) =>
        loadFloorPart(sql, known, day, now, part, units),
      ),
    );
  });

  mount('latest', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const names = await loadNames(database);
    return ok({ latest: await readSql(database, (sql) => loadLatest(sql, known, names)) });
  });

  mount('requests', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const all = await database.em.fork().findAll(StationEntity);
    const stations = new Map(all.map(({ id, name }) => [id, name]));
    const today = known.zone.dayAt(clock.now());
    // Why somebody is away is for whoever sees people, or decides on it.
    const seesLeave = who.rights.has('people.see') || who.rights.has('time.approve');
    const waiting = seesLeave ? await readSql(database, (sql) => loadWaitingLeave(sql, today)) : [];
    const around = await loadAround(database.em.fork(), waiting);
    return ok({
      requests: await readSql(database, (sql) =>
        loadRequests(sql, known, stations, aroundLeave(sql, known, around, today), waiting),
      ),
    });
  });

  mount('answerRequest', async ({ param, body, who, sees }) => {
    const request = param('request');
    const asked = await readSql(database, (sql) => findRequest(sql, request));
    if (!asked || !sees(asked.technician)) return refuse('record.not_found');
    const { text, state, isPaid } = body;
    const refusal =
      refuseState(asked.what, state) ??
      (asked.what === 'time-off' && state !== null ? refuseLeave(asked, who) : undefined);
    if (refusal) return refusal;
    const at = clock.now();
    const id = newId<EntryId>(body.once);
    const answer: FloorAnswer = { id, type: 'answer', at, request, text, state, by: who.user.name };
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql) => {
      const said = saidAtDesk(sql, answer);
      // The plan changes with the answer: nobody is told of what is not planned.
      const refused = said.length > 0 ? changeLeave(sql, request, state, isPaid) : undefined;
      return refused ?? ok(said);
    });
    if (!done.ok) return done;
    if (asked.what === 'time-off') live.publishSetup();
    return done.outcomes.some(({ result }) => result === 'refused') ? refuse('record.sent_before') : ok(null);
  });
}
