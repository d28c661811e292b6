import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { readOwnJson, readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { Mount } from '../http/index.ts';
import { STATION_TYPES } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { RECONCILE_DAYS } from './looseEnds.ts';

/** The route of days on which somebody was known at a station by a name or a number and nothing more, for whoever looks
 *  through them. */
export function mountNamedDays(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('namedDays', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const lastDay = query.to ?? known.zone.dayAt(clock.now());
    const firstDay = query.from ?? addDays(lastDay, 1 - RECONCILE_DAYS);
    const rows = await readSql(database, (sql) => findNamed(sql, firstDay, lastDay));
    return ok({
      days: rows
        .filter(({ technician }) => !known.hidden?.has(technician))
        .map(({ technician, day, times, stations }) => ({
          technician,
          name: known.technicians.get(technician)?.name ?? technician,
          day,
          times,
          stations: readOwnJson<string[]>(stations).sort(),
        })),
    });
  });
}

type Row = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly times: number;
  readonly stations: string;
};

/** By person and day, the newest first. */
const findNamed = (sql: Sql, firstDay: LocalDay, lastDay: LocalDay): readonly Row[] =>
  sql.all<Row>(
    `select i."technician", i."day", count(*) as "times",
       json_group_array(distinct s."name") filter (where s."name" is not null) as "stations"
     from "entry_index" i
     join "journal" j on j."seq" = i."seq"
     left join "station" s on s."id" = i."author"
     where i."stream" = 'labor' and i."type" in (select "value" from json_each(?)) and i."day" between ? and ?
       and i."technician" is not null and json_extract(j."envelope", '$.identity') in ('name', 'number')
     group by i."technician", i."day" order by i."day" desc, i."technician"`,
    [JSON.stringify([...STATION_TYPES]), firstDay, lastDay],
  );
