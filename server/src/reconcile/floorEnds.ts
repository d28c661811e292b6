import type { EntryId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { findBadgeEnds, findUnknownCodes } from '@wergon/core/reconcile';
import type { FloorEnd } from '@wergon/core/reconcile';
import type { BadgeScan } from '@wergon/core/station';
import { parseInstant, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { FieldError } from '../ledger/incoming.ts';
import type { ShopFacts } from '../shop/facts.ts';

/** What a station sent that could not be recorded, whole, and why not. */
export type Refused = { readonly body: string; readonly errors: readonly FieldError[] };
export type ToldFloorEnd = FloorEnd & { readonly refused?: Refused };

/** What stations add to the loose ends of a stretch of days. */
export function findFloorEnds(sql: Sql, facts: ShopFacts, first: LocalDay, last: LocalDay): ToldFloorEnd[] {
  const all: readonly ToldFloorEnd[] = [
    ...findClockJumps(sql, facts),
    ...findUnknownCodes(loadUnread(sql), facts.zone),
    ...findRefused(sql, facts),
    ...findBadgeEnds(loadBadgeScans(sql, first, last), facts.zone),
  ];
  return all.filter(({ day }) => day >= first && day <= last);
}

type FloorRow = { readonly id: EntryId; readonly at: string; readonly station: string };

/** Entries of the floor stream of one type, with one more field of theirs. */
function loadFloor<Field extends string, Value>(sql: Sql, type: string, field: Field) {
  const rows = sql.all<FloorRow & Record<Field, Value>>(
    `select "id", json_extract("body", '$.at') as "at", json_extract("body", '$.${field}') as "${field}",
       json_extract("envelope", '$.author.id') as "station"
     from "journal" where "stream" = 'floor' and "type" = ? order by "seq"`,
    [type],
  );
  return rows.flatMap((row) => {
    const at = parseInstant(row.at);
    return at.ok ? [{ ...row, at: at.value }] : [];
  });
}

const loadUnread = (sql: Sql) => loadFloor<'text', string>(sql, 'unread-scan', 'text');

/** Stations whose clock was moved. */
const findClockJumps = (sql: Sql, { zone }: ShopFacts): FloorEnd[] =>
  loadFloor<'seconds', number>(sql, 'clock-jump', 'seconds').map(({ id, at, seconds, station }) => ({
    kind: 'clock-jump',
    entries: [id],
    day: zone.dayAt(at),
    from: at,
    seconds: toSeconds(Math.abs(seconds)),
    stations: [station],
    times: 1,
  }));

/** Entries that could not be recorded. */
function findRefused(sql: Sql, { zone }: ShopFacts): ToldFloorEnd[] {
  const rows = sql.all<{ id: number; received_at: Instant; station: string; body: string; errors: string }>(
    'select * from "refused_entry" order by "id"',
  );
  return rows.map(({ id, received_at, station, body, errors }) => ({
    kind: 'refused-entry',
    about: String(id),
    entries: [],
    day: zone.dayAt(received_at),
    from: received_at,
    stations: [station],
    times: 1,
    // Written by the journal itself.
    refused: { body, errors: JSON.parse(errors) as FieldError[] },
  }));
}

/** Badges read at stations in these days. */
function loadBadgeScans(sql: Sql, first: LocalDay, last: LocalDay): BadgeScan[] {
  const rows = sql.all<{ technician: TechnicianId; at: Instant; station: string }>(
    `select e."technician", json_extract(e."body", '$.at') as "at",
       json_extract(j."envelope", '$.author.id') as "station"
     from "effective_entry" e join "journal" j on j."id" = e."id"
     where e."day" between ? and ? and e."technician" is not null and e."type" <> 'hours'
       and json_extract(j."envelope", '$.author.kind') = 'station'
       and json_array_length(j."envelope", '$.via') > 0`,
    [first, last],
  );
  // One read of a badge can make several entries; they are one scan.
  return [...new Map(rows.map((row) => [`${row.technician} ${row.station} ${row.at}`, row])).values()];
}

/** What technicians said of ends that they forgot, by the entry it is about; the last word counts. */
export function loadProposals(sql: Sql): ReadonlyMap<EntryId, string> {
  const rows = sql.all<{ about: EntryId; ended: string }>(
    `select json_extract("body", '$.about') as "about", json_extract("body", '$.ended') as "ended"
     from "journal" where "stream" = 'floor' and "type" = 'proposal' order by "seq"`,
  );
  return new Map(rows.map(({ about, ended }) => [about, ended]));
}
