import { addUsed } from '@wergon/core/ledger';
import type { TargetId, UsedByType } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay, Seconds } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { Sql } from '../db/index.ts';

/** Seconds of labor on one thing by one kind of work. */
export type Used = { readonly target: TargetId; readonly work_type: WorkType; readonly seconds: number };

/** Takes lines that were derived anew into the sums of what they are on: what they were is taken out, what they are put in.
 *  However much was ever done on a task, its sum is one row. */
export function keepUsed(sql: Sql, before: readonly Used[], after: readonly Used[]): void {
  const changes = new Map<string, { target: TargetId; work_type: WorkType; seconds: number }>();
  const add = ({ target, work_type, seconds }: Used, sign: 1 | -1) => {
    const key = `${target} ${work_type}`;
    const known = changes.get(key);
    if (known) known.seconds += sign * seconds;
    else changes.set(key, { target, work_type, seconds: sign * seconds });
  };
  for (const line of before) add(line, -1);
  for (const line of after) add(line, 1);
  for (const { target, work_type, seconds } of changes.values()) {
    if (seconds === 0) continue;
    sql.run(
      `insert into "used_time" ("target", "work_type", "seconds") values (?, ?, ?)
       on conflict ("target", "work_type") do update set "seconds" = "seconds" + excluded."seconds"`,
      [target, work_type, seconds],
    );
    sql.run('delete from "used_time" where "target" = ? and "work_type" = ? and "seconds" = 0', [
      target,
      work_type,
    ]);
  }
}

/** Sums all labor lines anew. */
export function rebuildUsed(sql: Sql): void {
  sql.run('delete from "used_time"');
  sql.run(
    `insert into "used_time" ("target", "work_type", "seconds")
     select "target", "work_type", sum("measured_seconds" + "shared_seconds" + "entered_seconds") as "seconds"
     from "labor_line" group by "target", "work_type" having "seconds" <> 0`,
  );
}

/** Whether there are labor lines that were never summed: by an older version. */
export const lacksUsed = (sql: Sql): boolean =>
  sql.all('select 1 from "labor_line" limit 1').length > 0 &&
  sql.all('select 1 from "used_time" limit 1').length === 0;

/** Settled labor by target and kind of work, of targets that are asked for. */
export function loadUsedOf(sql: Sql, targets: readonly TargetId[]): ReadonlyMap<TargetId, UsedByType> {
  const used = new Map<TargetId, UsedByType>();
  const rows = sql.all<Used>(
    'select * from "used_time" where "target" in (select "value" from json_each(?))',
    [JSON.stringify(targets)],
  );
  for (const { target, work_type, seconds } of rows)
    used.set(target, addUsed(used.get(target) ?? {}, work_type, seconds));
  return used;
}

const SECONDS = 'sum("measured_seconds" + "shared_seconds" + "entered_seconds") as "seconds"';

/** Settled labor of some days by target and kind of work. */
export const loadUsedBetween = (sql: Sql, first: LocalDay, last: LocalDay) =>
  sql.all<{ target: TargetId; workType: WorkType; seconds: Seconds }>(
    `select "target", "work_type" as "workType", ${SECONDS} from "labor_line" where "day" between ? and ?
     group by "target", "work_type"`,
    [first, last],
  );

/** Settled labor of some days by who did it and on what. */
export const loadUsedByPeople = (sql: Sql, first: LocalDay, last: LocalDay) =>
  sql.all<{ technician: TechnicianId; target: TargetId; seconds: Seconds }>(
    `select "technician", "target", ${SECONDS} from "labor_line" where "day" between ? and ?
     group by "technician", "target"`,
    [first, last],
  );
