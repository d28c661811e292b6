import { isRecord } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import type { RecordedFields } from './stored.ts';
import { readEnvelope, readFields } from './stored.ts';
import { parseDay, parseInstant, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Author, Stream } from './envelope.ts';
import type { Incoming } from './incoming.ts';
import { journalRows } from './journalRows.ts';

/** What an entry of the journal is looked up by. The journal's own JSON is read in the program alone: what stands in it
 *  came from outside, and the database's JSON functions are no judge of it. */
export type EntryIndexRow = {
  readonly seq: number;
  readonly stream: Stream;
  readonly type: string;
  /** Whom it is about; a correction is about whom its entry is about. */
  readonly technician: string | null;
  /** The local day of what it tells of. */
  readonly day: LocalDay | null;
  readonly recorded_at: Instant;
  readonly author: string;
  readonly author_kind: Author['kind'];
  /** What a floor entry is about: a task, the entry that a proposal speaks of, the request that is answered or taken back. */
  readonly about: string | null;
  /** Whether a code was read for it. */
  readonly is_scanned: number;
};

const textOf = (value: unknown): string | null => (typeof value === 'string' ? value : null);

/** The local day of an entry, from its JSON. */
export function dayOfBody({ at, day }: RecordedFields, zone: Zone): LocalDay | null {
  const instant = typeof at === 'string' ? parseInstant(at) : undefined;
  if (instant?.ok) return zone.dayAt(instant.value);
  const read = typeof day === 'string' ? parseDay(day) : undefined;
  return read?.ok ? read.value : null;
}

/** What a floor entry or a decision is about, from its JSON. */
export const aboutOfBody = ({ type, about, request, target }: RecordedFields): string | null =>
  type === 'proposal'
    ? textOf(about)
    : type === 'answer' || type === 'withdrawal'
      ? textOf(request)
      : textOf(target);

type Indexed = {
  readonly seq: number;
  readonly stream: Stream;
  readonly type: string;
  readonly json: RecordedFields;
  /** Whom the entry that it corrects is about; absent where it corrects none. */
  readonly corrected: string | null | undefined;
  readonly author: Author;
  readonly recordedAt: Instant;
  readonly isScanned: boolean;
};

function indexRow(zone: Zone, indexed: Indexed): EntryIndexRow {
  const { seq, stream, type, json, corrected, author, recordedAt, isScanned } = indexed;
  return {
    seq,
    stream,
    type,
    technician: corrected === undefined ? textOf(json['technician']) : corrected,
    day: dayOfBody(json, zone),
    recorded_at: recordedAt,
    author: author.id,
    author_kind: author.kind,
    about: stream === 'labor' ? null : aboutOfBody(json),
    is_scanned: Number(isScanned),
  };
}

type Recorded = Pick<Indexed, 'seq' | 'stream' | 'author' | 'recordedAt'>;

/** Writes what a newly recorded entry is looked up by. */
export function indexEntry(
  sql: Sql,
  zone: Zone,
  { entry, body, sent }: Exclude<Incoming, { kind: 'unreadable' }>,
  recorded: Recorded,
): void {
  const json = isRecord(body) ? body : {};
  const target = recorded.stream === 'labor' ? textOf(json['target']) : null;
  const corrected = target === null ? undefined : findTechnician(sql, target);
  const isScanned = sent.via.length > 0;
  sql.insert('entry_index', [indexRow(zone, { ...recorded, type: entry.type, json, corrected, isScanned })]);
}

/** Whom an entry that was recorded before is about. */
export const findTechnician = (sql: Sql, id: string): TechnicianId | null =>
  sql.all<{ technician: TechnicianId | null }>(
    'select i."technician" from "journal" j join "entry_index" i on i."seq" = j."seq" where j."id" = ?',
    [id],
  )[0]?.technician ?? null;

/** Rows written at a time. */
const AT_ONCE = 5_000;

/** Derives what entries are looked up by from the journal alone. */
export function rebuildIndex(sql: Sql, zone: Zone): void {
  const technicians = new Map<string, string | null>();
  let rows: EntryIndexRow[] = [];
  const flush = () => {
    sql.insert('entry_index', rows);
    rows = [];
  };
  for (const { seq, id, stream, type, corrects, body, envelope } of journalRows(sql)) {
    const json = readFields(body);
    const { author, recordedAt, via } = readEnvelope(envelope);
    const corrected = corrects === null ? undefined : (technicians.get(corrects) ?? null);
    const at = parseInstant(recordedAt);
    const row = indexRow(zone, {
      seq,
      stream,
      type,
      json,
      corrected,
      author,
      recordedAt: at.ok ? at.value : toInstant(0),
      isScanned: via.length > 0,
    });
    if (stream === 'labor') technicians.set(id, row.technician);
    rows.push(row);
    if (rows.length >= AT_ONCE) flush();
  }
  flush();
}
