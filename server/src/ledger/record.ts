import { keepNamed } from './namedTargets.ts';
import { deriveLines } from './laborLines.ts';
import { keepPay } from './payDays.ts';
import { touchedByPayroll } from './payrollRows.ts';
import type { Touched } from './projection.ts';
import type { TechnicianId } from '@wergon/core/people';
import { readEnvelope } from './stored.ts';
import { entryProblem } from '@wergon/contract/ledger';
import { canonicalJson, checkEntry, isClockAhead, isClockFault, isCorrection } from '@wergon/core/ledger';
import type { Entry, EntryId } from '@wergon/core/ledger';
import { TAKE_BACK_MS } from '@wergon/core/station';
import type { FloorEntry } from '@wergon/core/station';
import { formatInstant, parseInstant } from '@wergon/core/time';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import { entersElsewhere } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { GENESIS, chainHash, writeEnvelope } from './envelope.ts';
import type { Author, Stream } from './envelope.ts';
import { findClosed } from './closedDays.ts';
import type { Decision } from './decision.ts';
import { projectDecision } from './decisionRows.ts';
import { findTechnician, indexEntry } from './entryIndex.ts';
import { findLeave, keepLeave } from './leaveRows.ts';
import type { FieldProblem } from '@wergon/contract/wire';
import type { FloorAnswer, Incoming, Outcome } from './incoming.ts';

/** What stations may say; hours and corrections other than taking back are the desk's. */
export const STATION_TYPES: ReadonlySet<Entry['type']> = new Set<Entry['type']>([
  'shift-in',
  'shift-out',
  'break-start',
  'break-end',
  'work-start',
  'work-stop',
  'task-done',
  'task-reopen',
  'count',
  'note',
  'void',
]);

/** A labor entry that was just recorded and that the projections must take in. */
export type Recorded = { readonly entry: Entry; readonly seq: number };

/** The end of the journal, as a transaction moves it on. */
export type Head = { seq: number; hash: string };

export function findHead(sql: Sql): Head {
  const [last] = sql.all<{ seq: number; hash: string }>(
    'select "seq", "hash" from "journal" order by "seq" desc limit 1',
  );
  return last ? { seq: last.seq, hash: last.hash } : { seq: 0, hash: GENESIS };
}

export type Recording = {
  readonly sql: Sql;
  readonly facts: ShopFacts;
  readonly head: Head;
  readonly author: Author;
  readonly now: Instant;
  readonly recorded: Recorded[];
  readonly touched: Touched;
};

type JournalRow = { stream: string; type: string; body: string; envelope: string; seq: number };

const findRow = (sql: Sql, id: string): JournalRow | undefined =>
  sql.all<JournalRow>('select "stream", "type", "body", "envelope", "seq" from "journal" where "id" = ?', [
    id,
  ])[0];

/** Records one incoming entry at the end of the journal, or says why not. */
export function recordEntry(recording: Recording, incoming: Incoming): Outcome {
  const { sql } = recording;
  if (incoming.kind === 'unreadable') return refused(incoming.id, incoming.errors);
  const { id } = incoming;
  const body = canonicalJson(incoming.body);
  const known = findRow(sql, id);
  if (known) {
    if (known.body === body) return { id, result: 'known', seq: known.seq };
    return refused(id, [entryProblem('entry.id_taken', {})]);
  }
  if (recording.author.kind === 'station' && isFromTheFuture(incoming, recording.now))
    return refused(id, [
      { field: 'at', message: 'lies more than a day ahead: the clock of this device is not right' },
    ]);
  if (incoming.kind === 'floor') {
    const unknown = findUnknown(recording, incoming.entry);
    if (unknown.length > 0) return refused(id, unknown);
    const about = aboutWhom(sql, incoming.entry);
    if (about) recording.touched.technicians.add(about);
    const outcome = append(recording, incoming, body, 'floor');
    keepLeave(sql, incoming.entry);
    return outcome;
  }
  if (incoming.kind === 'decision') {
    const outcome = append(recording, incoming, body, 'decision');
    projectDecision(sql, incoming.entry);
    costAsDecided(recording, incoming.entry);
    return outcome;
  }
  const errors = findErrors(recording, incoming);
  if (errors.length > 0) return refused(id, errors);
  const outcome = append(recording, incoming, body, 'labor');
  if (outcome.result === 'recorded') {
    keepNamed(sql, incoming.entry);
    recording.recorded.push({ entry: incoming.entry, seq: outcome.seq });
  }
  return outcome;
}

/** A cost that was set or is set no more, and a split that was decided or is no more, count at once, and so does what payroll
 *  paid. */
function costAsDecided({ sql, facts, touched }: Recording, decision: Decision): void {
  switch (decision.type) {
    case 'set-cost':
    case 'reset-cost':
      deriveLines(sql, facts, decision.technician, new Set([decision.day]));
      touched.technicians.add(decision.technician);
      touched.targets.add(decision.target);
      return;
    case 'split':
    case 'reset-split': {
      const lineDays = new Set<LocalDay>();
      keepPay(sql, facts, decision.technician, new Set([decision.day]), lineDays);
      const { before, after } = deriveLines(sql, facts, decision.technician, lineDays);
      touched.technicians.add(decision.technician);
      for (const { target } of [...before, ...after]) touched.targets.add(target);
      return;
    }
    case 'payroll-paid':
    case 'withdraw-payroll':
      for (const { technician, target } of touchedByPayroll(
        sql,
        decision.type === 'payroll-paid' ? decision.id : decision.payroll,
      )) {
        touched.technicians.add(technician);
        touched.targets.add(target);
      }
  }
}

const isFromTheFuture = ({ entry }: Exclude<Incoming, { kind: 'unreadable' }>, now: Instant): boolean =>
  'at' in entry && isClockFault(entry.at, now);

const refused = (id: EntryId | null, errors: readonly FieldProblem[]): Outcome => ({
  id,
  result: 'refused',
  errors,
});

type LaborIncoming = Extract<Incoming, { kind: 'labor' }>;

function findErrors(recording: Recording, incoming: LaborIncoming): readonly FieldProblem[] {
  const { facts, author, sql } = recording;
  const { entry } = incoming;
  const corrected = isCorrection(entry) ? findRow(sql, entry.target) : undefined;
  const checked = checkEntry(entry, {
    hasTechnician: (id) => facts.technicians.has(id),
    hasTarget: (id) => facts.targets.has(id),
    // Only labor can be corrected; its rows hold nothing but types that were read before they were written.
    findType: () => (corrected?.stream === 'labor' ? (corrected.type as Entry['type']) : undefined),
  });
  if (!checked.ok) return [entryProblem(checked.code, checked.params)];
  // As long as time is entered elsewhere it is put right there, and comes in anew.
  if (corrected && author.kind !== 'import' && isFromElsewhere(corrected) && entersElsewhere(facts.shop))
    return [{ field: 'target', message: 'came in from elsewhere and is put right there' }];
  if (author.kind === 'desk' || author.kind === 'import') return findClosed(sql, facts, entry);
  if (author.kind !== 'station') return [];
  if (!STATION_TYPES.has(entry.type)) return [{ field: 'type', message: 'a station cannot record this' }];
  if (incoming.sent.source === 'desk') return [{ field: 'source', message: 'a station is not the desk' }];
  if (corrected && !isOwnAndRecent(author, incoming, corrected))
    return [
      { field: 'target', message: 'a station can take back only what it recorded in the last 30 seconds' },
    ];
  return [];
}

const isFromElsewhere = ({ envelope }: JournalRow): boolean =>
  readEnvelope(envelope).author.kind === 'import';

function isOwnAndRecent(author: Author, { sent }: LaborIncoming, corrected: JournalRow): boolean {
  const before = readEnvelope(corrected.envelope);
  const madeAt = parseInstant(before.deviceAt);
  if (!madeAt.ok || before.author.kind !== 'station' || before.author.id !== author.id) return false;
  const passed = sent.deviceAt + sent.clockOffset - (madeAt.value + before.clockOffset);
  return passed >= 0 && passed <= TAKE_BACK_MS / 1000;
}

/** Whom a floor entry is about: an answer stands at the badge of whoever asked. */
const aboutWhom = (sql: Sql, entry: FloorEntry | FloorAnswer): TechnicianId | null | undefined =>
  entry.type === 'answer'
    ? findTechnician(sql, entry.request)
    : 'technician' in entry
      ? entry.technician
      : undefined;

/** What a floor entry names must exist; the words of it are nobody's business here. */
function findUnknown({ sql, facts }: Recording, entry: FloorEntry | FloorAnswer): readonly FieldProblem[] {
  const errors: FieldProblem[] = [];
  if ('technician' in entry && !facts.technicians.has(entry.technician))
    errors.push({ field: 'technician', message: 'no such technician' });
  if ('target' in entry && entry.target !== null && !facts.targets.has(entry.target))
    errors.push({ field: 'target', message: 'no such task or activity' });
  if (entry.type === 'withdrawal' && findLeave(sql, entry.request)?.technician !== entry.technician)
    errors.push({ field: 'request', message: 'they have asked for no such time off' });
  return errors;
}

function append(
  { sql, facts, head, author, now }: Recording,
  incoming: Exclude<Incoming, { kind: 'unreadable' }>,
  body: string,
  stream: Stream,
): Outcome {
  const { id, entry, sent } = incoming;
  const seq = head.seq + 1;
  const envelope = writeEnvelope({
    v: 1,
    seq,
    recordedAt: formatInstant(now),
    author,
    source: sent.source,
    action: sent.action,
    via: sent.via,
    deviceAt: formatInstant(sent.deviceAt),
    clockOffset: sent.clockOffset,
    ...(sent.identity === undefined ? {} : { identity: sent.identity }),
    stream,
  });
  const hash = chainHash(body, envelope, head.hash);
  const labor = incoming.kind === 'labor' ? incoming.entry : undefined;
  const corrects = labor && isCorrection(labor) ? labor.target : null;
  sql.insert('journal', [{ seq, id, stream, type: entry.type, corrects, body, envelope, hash }]);
  indexEntry(sql, facts.zone, incoming, { seq, stream, author, recordedAt: now });
  head.seq = seq;
  head.hash = hash;
  if (author.kind === 'station' && labor && 'at' in labor && isClockAhead(labor.at, now))
    sql.insert('loose_end', [clockLooseEnd(labor, now, facts.zone)]);
  return { id, result: 'recorded', seq };
}

/** A station whose clock runs ahead, on the day on which that was seen of the server; kept as it was seen, because later it cannot be told. */
export const clockLooseEnd = (entry: Extract<Entry, { at: Instant }>, now: Instant, zone: Zone) => ({
  kind: 'clock',
  entry: entry.id,
  from_at: entry.at,
  technician: entry.technician ?? '',
  to_at: null,
  seconds: entry.at - now,
  settled_day: zone.dayAt(now),
});

/** How much of one refused entry is kept, in characters, and how many of one station: the newest. */
const MOST_KEPT = 100_000;
const MOST_ROWS = 500;

/** Keeps what was refused whole, on the side, where it blocks nobody. */
export function keepRefused(
  sql: Sql,
  station: string,
  body: unknown,
  errors: readonly FieldProblem[],
  now: Instant,
): void {
  const text = JSON.stringify(body).slice(0, MOST_KEPT);
  const [same] = sql.all<{ id: number }>(
    'select "id" from "refused_entry" where "station" = ? and "body" = ? limit 1',
    [station, text],
  );
  // Sent again it is still the one thing that somebody must look at.
  if (same) return;
  sql.insert('refused_entry', [{ received_at: now, station, body: text, errors: JSON.stringify(errors) }]);
  sql.run(
    `delete from "refused_entry" where "station" = ? and "id" <= (select "id" from "refused_entry"
       where "station" = ? order by "id" desc limit 1 offset ${MOST_ROWS})`,
    [station, station],
  );
}
