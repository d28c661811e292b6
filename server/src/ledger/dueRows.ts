import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';

/** Rules that change days gone by change what is derived of everybody. Each person's days are derived in a transaction of
 *  their own, so that scans go on between them; whose are still to come is kept, so that a stop loses none. */
export function markDue(sql: Sql, technicians: Iterable<TechnicianId>, from: LocalDay): void {
  for (const technician of technicians)
    sql.run(
      `insert into "due_derivation" ("technician", "from_day") values (?, ?)
       on conflict ("technician") do update set "from_day" = min("from_day", excluded."from_day")`,
      [technician, from],
    );
}

export const countDue = (sql: Sql): number =>
  sql.all<{ n: number }>('select count(*) as "n" from "due_derivation"')[0]?.n ?? 0;
