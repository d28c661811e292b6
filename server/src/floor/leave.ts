import type { EntityManager } from '@mikro-orm/libsql';
import type { RequestsJson } from '@wergon/contract/station';
import type { LeaveAsked, TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import { daysFrom, earliestOf, latestOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { AbsenceEntity } from '../people/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';

type Told = NonNullable<RequestsJson['requests'][number]['leave']>;

/** What somebody who grants time off must know: who else is away then, and what of it is worked or closed already. */
export type AroundLeave = (technician: TechnicianId, leave: LeaveAsked) => Told;

/** Days around some time off that is asked for. */
export async function loadAbsences(em: EntityManager, asked: readonly LeaveAsked[]) {
  if (asked.length === 0) return { absences: [], closed: [] };
  const day = {
    $gte: earliestOf(asked.map(({ from }) => from)),
    $lte: latestOf(asked.map(({ to }) => to)),
  };
  return {
    absences: await em.find(AbsenceEntity, { day }),
    closed: (await em.find(ClosedDayEntity, { day })).map((each) => each.day),
  };
}

/** What stands around each time off. */
export const aroundLeave =
  (sql: Sql, facts: ShopFacts, { absences, closed }: Awaited<ReturnType<typeof loadAbsences>>): AroundLeave =>
  (technician, { kind, from, to }) => {
    const isWithin = (day: LocalDay) => day >= from && day <= to;
    const others = groupBy(
      absences.filter((each) => isWithin(each.day) && each.technician !== technician),
      (each) => each.technician,
    );
    return {
      ...{ kind, from, to },
      away: [...others].flatMap(([id, days]) => {
        const name = facts.technicians.get(id)?.name;
        return name === undefined ? [] : [{ name, days: days.length }];
      }),
      worked: sql
        .all<{ day: LocalDay }>(
          'select distinct "day" from "labor_line" where "technician" = ? and "day" between ? and ? order by "day"',
          [technician, from, to],
        )
        .map(({ day }) => day),
      closed: closed.filter(isWithin),
    };
  };

/** Puts time off that is granted into somebody's plan. */
export function planLeave(
  sql: Sql,
  technician: TechnicianId,
  { kind, from, to }: LeaveAsked,
  isPaid: boolean,
): void {
  for (const day of daysFrom(from, to - from + 1))
    sql.run(
      `insert into "absence" ("technician", "day", "kind", "is_paid") values (?, ?, ?, ?)
       on conflict ("technician", "day") do update set "kind" = excluded."kind", "is_paid" = excluded."is_paid"`,
      [technician, day, kind, isPaid ? 1 : 0],
    );
}

/** Takes time off that was granted, and is not after all, out of the plan again. */
export const dropLeave = (sql: Sql, technician: TechnicianId, { kind, from, to }: LeaveAsked): void =>
  sql.run('delete from "absence" where "technician" = ? and "kind" = ? and "day" between ? and ?', [
    technician,
    kind,
    from,
    to,
  ]);
