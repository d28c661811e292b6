import { fieldProblemSchema } from '@wergon/contract/wire';
import { z } from 'zod';
import { readFields, readFloorEntry, readLaborEntry } from '../ledger/index.ts';
import type { EntryId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { findBadgeEnds, findUnknownCodes } from '@wergon/core/loose-ends';
import type { FloorEnd } from '@wergon/core/loose-ends';
import type { BadgeScan } from '@wergon/core/station';
import { parseInstant, toSeconds, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { FieldProblem } from '@wergon/contract/wire';

import type { ShopFacts } from '../catalog/index.ts';

/** What a station sent that could not be recorded, whole, and why not. */
export type Refused = { readonly body: string; readonly errors: readonly FieldProblem[] };
export type ToldFloorEnd = FloorEnd & { readonly refused?: Refused };

/** What stations add to the loose ends of a stretch of days. */
export function findFloorEnds(sql: Sql, facts: ShopFacts, first: LocalDay, last: LocalDay): ToldFloorEnd[] {
  const all: readonly ToldFloorEnd[] = [
    ...findClockJumps(sql, facts, first, last),
    ...findUnknownCodes(loadUnread(sql, first, last), facts.zone),
    ...findRefused(sql, facts, first, last),
    ...findBadgeEnds(loadBadgeScans(sql, first, last), facts.zone),
  ];
  return all.filter((end) => end.day >= first && end.day <= last && !isOfHidden(end, facts));
}

/** Whether it tells of somebody of whom whoever asks is told nothing: alone, as one of a pair, in what could not be recorded. */
function isOfHidden({ technician, about, refused }: ToldFloorEnd, { hidden }: ShopFacts): boolean {
  if (!hidden) return false;
  const named: unknown[] = [technician, about];
  if (refused)
    JSON.parse(refused.body, (_key, value: unknown) => {
      named.push(value);
      return value;
    });
  return named.some((id) => hidden.has(id as TechnicianId));
}

type Floor = { readonly id: EntryId; readonly at: Instant; readonly station: string } & Readonly<
  Record<'text' | 'seconds', unknown>
>;

/** Entries of the floor stream of one type, of some days. */
function loadFloor(sql: Sql, type: string, first: LocalDay, last: LocalDay): Floor[] {
  const rows = sql.all<{ id: EntryId; body: string; author: string }>(
    `select j."id", j."body", i."author" from "entry_index" i join "journal" j on j."seq" = i."seq"
     where i."stream" = 'floor' and i."type" = ? and i."day" between ? and ? order by i."seq"`,
    [type, first, last],
  );
  return rows.flatMap(({ id, body, author }) => {
    const { at, text, seconds } = readFields(body);
    const read = parseInstant(String(at));
    return read.ok ? [{ id, at: read.value, station: author, text, seconds }] : [];
  });
}

const loadUnread = (sql: Sql, first: LocalDay, last: LocalDay) =>
  loadFloor(sql, 'unread-scan', first, last).map((row) => ({ ...row, text: String(row.text) }));

/** Stations whose clock was moved. */
const findClockJumps = (sql: Sql, { zone }: ShopFacts, first: LocalDay, last: LocalDay): FloorEnd[] =>
  loadFloor(sql, 'clock-jump', first, last).map(({ id, at, seconds, station }) => ({
    kind: 'clock-jump',
    entries: [id],
    day: zone.dayAt(at),
    from: at,
    seconds: toSeconds(Math.abs(Number(seconds))),
    stations: [station],
    times: 1,
  }));

/** Entries that could not be recorded. */
function findRefused(sql: Sql, { zone }: ShopFacts, first: LocalDay, last: LocalDay): ToldFloorEnd[] {
  const rows = sql.all<{ id: number; received_at: Instant; station: string; body: string; errors: string }>(
    'select * from "refused_entry" where "received_at" >= ? and "received_at" < ? order by "id"',
    [zone.startOf(first), zone.startOf(addDays(last, 1))],
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
    refused: { body, errors: z.array(fieldProblemSchema).parse(JSON.parse(errors)) },
  }));
}

/** Badges read at stations in these days. */
function loadBadgeScans(sql: Sql, first: LocalDay, last: LocalDay): BadgeScan[] {
  const rows = sql
    .all<{ technician: TechnicianId; body: string; station: string }>(
      `select e."technician", e."body", i."author" as "station"
       from "effective_entry" e join "entry_index" i on i."seq" = e."seq"
       where e."type" in ('shift-in', 'shift-out', 'break-start', 'break-end', 'work-start', 'work-stop', 'task-done',
           'task-reopen', 'count', 'note') and e."day" between ? and ? and e."technician" is not null
         and i."author_kind" = 'station' and i."is_scanned"`,
      [first, last],
    )
    .flatMap(({ technician, body, station }) => {
      const entry = readLaborEntry(body);
      return 'at' in entry ? [{ technician, station, at: entry.at }] : [];
    });
  // One read of a badge can make several entries; they are one scan.
  return [...new Map(rows.map((row) => [`${row.technician} ${row.station} ${row.at}`, row])).values()];
}

/** What technicians said of ends that they forgot, by the entry it is about; the last word counts. */
export function loadProposals(sql: Sql): ReadonlyMap<EntryId, Instant> {
  const rows = sql.all<{ body: string }>(
    `select j."body" from "entry_index" i join "journal" j on j."seq" = i."seq"
     where i."stream" = 'floor' and i."type" = 'proposal' order by i."seq"`,
  );
  return new Map(
    rows.map(({ body }) => {
      const { about, ended } = readFloorEntry<'proposal'>(body);
      return [about, ended];
    }),
  );
}
