import type { LooseEndsJson } from '@wergon/contract/reconcile';
import type { EntryId, LooseEnd } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { findBadgeHints } from '@wergon/core/station';
import type { BadgeScan } from '@wergon/core/station';
import { formatInstant, parseInstant, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../shop/facts.ts';

/** A clock jump with the station at which it happened. */
export type ClockJump = LooseEnd & { readonly day: LocalDay; readonly station: string };

type FloorRow = { id: EntryId; at: string; seconds: number; station: string };

/** Stations whose clock was moved in these days. */
export function findClockJumps(sql: Sql, { zone }: ShopFacts, first: LocalDay, last: LocalDay): ClockJump[] {
  return sql
    .all<FloorRow>(
      `select "id", json_extract("body", '$.at') as "at", json_extract("body", '$.seconds') as "seconds",
         json_extract("envelope", '$.author.id') as "station"
       from "journal" where "stream" = 'floor' and "type" = 'clock-jump'`,
    )
    .flatMap(({ id, at, seconds, station }) => {
      const from = parseInstant(at);
      const day = from.ok ? zone.dayAt(from.value) : undefined;
      if (!from.ok || day === undefined || day < first || day > last) return [];
      const length = toSeconds(Math.abs(seconds));
      return [{ kind: 'clock-jump', entries: [id], from: from.value, seconds: length, day, station }];
    });
}

/** What technicians said of ends that they forgot, by the entry it is about; the last word counts. */
export function loadProposals(sql: Sql): ReadonlyMap<EntryId, string> {
  const rows = sql.all<{ about: EntryId; ended: string }>(
    `select json_extract("body", '$.about') as "about", json_extract("body", '$.ended') as "ended"
     from "journal" where "stream" = 'floor' and "type" = 'proposal' order by "seq"`,
  );
  return new Map(rows.map(({ about, ended }) => [about, ended]));
}

/** Odd things about badges in these days, newest first. */
export function findHints(
  sql: Sql,
  facts: ShopFacts,
  first: LocalDay,
  last: LocalDay,
  stations: ReadonlyMap<string, string>,
): LooseEndsJson['hints'] {
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
  const scans = new Map<string, BadgeScan>(
    rows.map((row) => [`${row.technician} ${row.station} ${row.at}`, row] as const),
  );
  const nameOf = (id: TechnicianId) => facts.technicians.get(id)?.name ?? '';
  return findBadgeHints([...scans.values()])
    .sort((a, b) => b.at - a.at)
    .map((hint) => ({
      kind: hint.kind,
      at: formatInstant(hint.at),
      names: hint.kind === 'badge-hop' ? [nameOf(hint.technician)] : hint.technicians.map(nameOf),
      stations: hint.kind === 'badge-hop' ? hint.stations.map((id) => stations.get(id) ?? id) : [],
      count: hint.kind === 'badge-hop' ? hint.seconds : hint.times,
    }));
}
