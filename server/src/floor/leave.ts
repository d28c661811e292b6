import type { EntityManager } from '@mikro-orm/libsql';
import type { RequestsJson } from '@wergon/contract/station';
import { leaveTakes } from '@wergon/core/pay';
import type { LeaveAsked, TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import type { LeaveStanding } from '@wergon/core/station';
import { calendarYear, daysFrom, earliestOf, latestOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { leaveOfRow } from '../ledger/index.ts';
import type { LeaveRow } from '../ledger/index.ts';
import { AbsenceEntity, loadLeaveYear } from '../people/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';

type Told = NonNullable<RequestsJson['requests'][number]['leave']>;

/** What somebody who grants time off must know: who else is away then, what of it is worked or closed already, and what is
 *  left of what the shop allows them in that year. */
export type AroundLeave = (technician: TechnicianId, leave: LeaveAsked, standing: LeaveStanding) => Told;

/** Time off that waits for somebody: it was not answered yet, or is not wanted after all. It stays however much else is
 *  asked for, as long as it is not long past. */
const STANDS_DAYS = 90;
export const loadWaitingLeave = (sql: Sql, today: LocalDay): readonly LeaveRow[] =>
  sql.all<LeaveRow>(
    `select * from "leave_request" where "last_day" >= ? and "standing" in ('asked', 'not-wanted')`,
    [today - STANDS_DAYS],
  );

/** What some people asked for that is still to come, and was neither refused nor taken back. */
export const loadOwnLeave = (
  sql: Sql,
  people: readonly TechnicianId[],
  today: LocalDay,
): readonly LeaveRow[] =>
  sql.all<LeaveRow>(
    `select l.* from "leave_request" l join json_each(?) t on l."technician" = t."value"
     where l."first_day" > ? and l."standing" in ('asked', 'granted') order by l."first_day"`,
    [JSON.stringify(people), today],
  );

type YearOf = Awaited<ReturnType<typeof loadLeaveYear>>;

/** Days and balances around some time off that is asked for. */
export async function loadAround(em: EntityManager, asked: readonly LeaveRow[]) {
  if (asked.length === 0) return { absences: [], closed: [], years: new Map<number, YearOf>() };
  const years = [...new Set(asked.map(({ first_day: first }) => calendarYear(first)))];
  const people = [...new Set(asked.map(({ technician }) => technician))];
  const day = {
    $gte: earliestOf(asked.map(({ first_day: first }) => first)),
    $lte: latestOf(asked.map(({ last_day: last }) => last)),
  };
  return {
    absences: await em.find(AbsenceEntity, { day }),
    closed: (await em.find(ClosedDayEntity, { day })).map((each) => each.day),
    years: new Map(
      await Promise.all(years.map(async (year) => [year, await loadLeaveYear(em, year, people)] as const)),
    ),
  };
}

/** What stands around each time off. */
export const aroundLeave =
  (
    sql: Sql,
    facts: ShopFacts,
    { absences, closed, years }: Awaited<ReturnType<typeof loadAround>>,
    today: LocalDay,
  ): AroundLeave =>
  (technician, { kind, from, to, seconds = null }, standing) => {
    const isWithin = (day: LocalDay) => day >= from && day <= to;
    const others = groupBy(
      absences.filter((each) => isWithin(each.day) && each.technician !== technician),
      (each) => each.technician,
    );
    const year = years.get(calendarYear(from))?.(technician);
    const left = year?.balances(today).find((each) => each.kind === kind)?.left ?? null;
    return {
      ...{ kind, from, to, seconds, standing },
      away: [...others].flatMap(([id, days]) => {
        const name = facts.technicians.get(id)?.name;
        return name === undefined ? [] : [{ name, days: days.length }];
      }),
      worked: daysWorked(sql, technician, from, to),
      closed: closed.filter(isWithin),
      balance:
        year === undefined || left === null
          ? null
          : { left, takes: leaveTakes(year.facts, daysFrom(from, to - from + 1), seconds) },
    };
  };

/** Days on which time of somebody is recorded. */
export const daysWorked = (
  sql: Sql,
  technician: TechnicianId,
  from: LocalDay,
  to: LocalDay,
): readonly LocalDay[] =>
  sql
    .all<{ day: LocalDay }>(
      'select distinct "day" from "labor_line" where "technician" = ? and "day" between ? and ? order by "day"',
      [technician, from, to],
    )
    .map(({ day }) => day);

/** Puts time off that is granted into somebody's plan. */
export function planLeave(
  sql: Sql,
  technician: TechnicianId,
  { kind, from, to, seconds = null }: LeaveAsked,
  isPaid: boolean,
): void {
  for (const day of daysFrom(from, to - from + 1))
    sql.run(
      `insert into "absence" ("technician", "day", "kind", "is_paid", "seconds") values (?1, ?2, ?3, ?4, ?5)
       on conflict ("technician", "day") do update set "kind" = ?3, "is_paid" = ?4, "seconds" = ?5`,
      [technician, day, kind, isPaid ? 1 : 0, seconds],
    );
}

/** Takes time off that was granted, and is not after all, out of the plan again. */
export const dropLeave = (sql: Sql, { technician, ...row }: LeaveRow): void => {
  const { kind, from, to } = leaveOfRow({ technician, ...row });
  sql.run('delete from "absence" where "technician" = ? and "kind" = ? and "day" between ? and ?', [
    ...[technician, kind, from, to],
  ]);
};
