import { parseDay, parseInstant } from '@wergon/core/time';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Author, Envelope, Stream } from './envelope.ts';
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
  /** What a floor entry is about: a task, the entry that a proposal speaks of, the request that an answer answers. */
  readonly about: string | null;
  /** Whether a code was read for it. */
  readonly is_scanned: number;
};

type Body = Readonly<Record<string, unknown>>;
const textOf = (value: unknown): string | null => (typeof value === 'string' ? value : null);

/** The local day of an entry, from its JSON. */
export function dayOfBody({ at, day }: Body, zone: Zone): LocalDay | null {
  const instant = typeof at === 'string' ? parseInstant(at) : undefined;
  if (instant?.ok) return zone.dayAt(instant.value);
  const read = typeof day === 'string' ? parseDay(day) : undefined;
  return read?.ok ? read.value : null;
}

/** What a floor entry or a decision is about, from its JSON. */
export const aboutOfBody = ({ type, about, request, target }: Body): string | null =>
  type === 'proposal' ? textOf(about) : type === 'answer' ? textOf(request) : textOf(target);

type Recorded = {
  readonly seq: number;
  readonly stream: Stream;
  readonly author: Author;
  readonly recordedAt: Instant;
};

/** Writes what a newly recorded entry is looked up by. */
export function indexEntry(
  sql: Sql,
  zone: Zone,
  { entry, body, sent }: Exclude<Incoming, { kind: 'unreadable' }>,
  { seq, stream, author, recordedAt }: Recorded,
): void {
  const json = body as Body;
  const corrected = stream === 'labor' ? textOf(json['target']) : null;
  const technician = corrected === null ? textOf(json['technician']) : findTechnician(sql, corrected);
  const row: EntryIndexRow = {
    seq,
    stream,
    type: entry.type,
    technician,
    day: dayOfBody(json, zone),
    recorded_at: recordedAt,
    author: author.id,
    author_kind: author.kind,
    about: stream === 'labor' ? null : aboutOfBody(json),
    is_scanned: Number(sent.via.length > 0),
  };
  sql.insert('entry_index', [row]);
}

/** Whom an entry that was recorded before is about. */
const findTechnician = (sql: Sql, id: string): string | null =>
  sql.all<{ technician: string | null }>(
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
    // Written by the journal itself.
    const json = JSON.parse(body) as Body;
    const { author, recordedAt, via } = JSON.parse(envelope) as Envelope;
    const technician = corrects === null ? textOf(json['technician']) : (technicians.get(corrects) ?? null);
    if (stream === 'labor') technicians.set(id, technician);
    const recorded = parseInstant(recordedAt);
    rows.push({
      seq,
      stream,
      type,
      technician,
      day: dayOfBody(json, zone),
      recorded_at: recorded.ok ? recorded.value : (0 as Instant),
      author: author.id,
      author_kind: author.kind,
      about: stream === 'labor' ? null : aboutOfBody(json),
      is_scanned: Number(via.length > 0),
    });
    if (rows.length >= AT_ONCE) flush();
  }
  flush();
}
