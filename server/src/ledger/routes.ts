import type { LineDetail } from '@wergon/contract/ledger';
import { addSettled, isCorrection, emptyTimeline, allocateStint, settleAt } from '@wergon/core/ledger';
import type { Entry, HoursEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { ParsedQueryOf } from '@wergon/contract/routes';
import { ok } from '@wergon/core/result';
import { addDays } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { covers } from '../access/index.ts';
import type { LedgerContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { writeOutcome } from './outcome.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { findAmended } from './closedDays.ts';
import { readBatch } from './readBatch.ts';
import { mountOrderActs } from './orderActs.ts';
import type { Incoming } from './incoming.ts';
import { mountRates } from './rates.ts';
import { mountRules } from './rules.ts';
import { mountTrail } from './trail.ts';
import { loadNames, loadScan } from './scans.ts';
import type { Names } from './scans.ts';
import { loadHours, findState, loadStints } from './timelineRows.ts';

/** What is said at a station is recorded there alone. */
const refuseFloor = (incoming: Incoming): Incoming =>
  incoming.kind === 'floor'
    ? {
        ...{ kind: 'unreadable', id: incoming.id, body: incoming.body },
        errors: [{ field: 'type', message: 'only a station records this' }],
      }
    : incoming;

export function mountLedger(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts, journal } = context;
  mountTrail(mount, context);
  mountOrderActs(mount, context);
  mountRates(mount, context);
  mountRules(mount, context);
  mount('deskEntries', async ({ body, who }) => {
    const incoming = readBatch(body.entries).map(refuseFloor);
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) =>
      incoming.some(
        (each) =>
          each.kind === 'labor' && !peopleOf(sql, each.entry).every((id) => covers(who.user, known, id)),
      )
        ? refuse('reconcile.other_people')
        : ok(incoming),
    );
    if (!done.ok) return done;
    const { outcomes, seq } = done;
    const errors = outcomes.flatMap((outcome, i) =>
      outcome.result === 'refused'
        ? outcome.errors.map(({ field, message }) => ({ field: `entries[${i}].${field}`, message }))
        : [],
    );
    if (errors.length > 0) return refuse('entries.refused', errors);
    return ok({ results: outcomes.map(writeOutcome), seq, now: clock.nowMs() });
  });

  mount('line', async ({ query }) => {
    const known = await facts.get();
    const names = await loadNames(database);
    return ok(await readSql(database, (sql) => loadLine(sql, known, query, clock.now(), names)));
  });
}

/** Whose time an entry or a correction touches: before and after it. People who are not known are refused later. */
function peopleOf(sql: Sql, entry: Entry): readonly TechnicianId[] {
  if (!isCorrection(entry)) return entry.technician === undefined ? [] : [entry.technician];
  const before = findAmended(sql, entry.target)?.technician;
  const after = entry.type === 'amend' ? entry.set.technician : undefined;
  return [before, after].flatMap((id) => id ?? []);
}

/** What a labor line is made of: the stints that give it time, the hours written down for it, and their scans. */
function loadLine(
  sql: Sql,
  facts: ShopFacts,
  asked: ParsedQueryOf<'line'>,
  now: Instant,
  names: Names,
): LineDetail {
  const technician = asked.technician;
  const target = asked.target;
  const { day, workType } = asked;
  const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
  const tail = emptyTimeline();
  const state = findState(sql, technician);
  if (state) addSettled(tail, settleAt(technician, state, now, facts.policy).settled);
  const titleOf = (id: TargetId) => facts.tasks.get(id)?.title ?? facts.activities.get(id)?.title ?? id;
  const parts = [...loadStints(sql, { technician, ...span }), ...tail.stints].flatMap((stint) =>
    allocateStint(stint, facts)
      .filter((piece) => piece.target === target && piece.workType === workType && piece.day === day)
      .map((piece) => ({ stint, piece })),
  );
  return {
    stints: parts.map(({ stint, piece }) => ({
      from: piece.from,
      to: piece.to,
      seconds: piece.seconds,
      sharedWith: stint.running.flatMap((run) => (run.target === target ? [] : [titleOf(run.target)])),
      isOpen: stint.open,
      isCapped: stint.capped,
      opened: loadScan(sql, stint.opened, names),
      closed: stint.closed === undefined ? null : loadScan(sql, stint.closed, names),
    })),
    hours: loadHours(sql, day, day)
      .filter(isOfLine(technician, target, workType))
      .map(({ id, seconds }) => ({ seconds, entry: loadScan(sql, id, names) })),
  };
}

const isOfLine =
  (technician: TechnicianId, target: TargetId, workType: string) =>
  (entry: HoursEntry): boolean =>
    entry.technician === technician && entry.targets[0] === target && (entry.workType ?? 'run') === workType;
