import type { EntityManager } from '@mikro-orm/libsql';
import { leaveBalances } from '@wergon/core/pay';
import type { Leave, LeaveBalance, LeaveFacts } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import { daysFrom, firstDayOfYear } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';
import { ClosedDayEntity } from '../shop/index.ts';
import { AbsenceEntity, LeaveAllowanceEntity } from './entities.ts';
import { among, loadUsual } from './planned.ts';

/** What decides how long some people, or everybody, are away on some days. */
export async function loadLeaveFacts(
  em: EntityManager,
  firstDay: LocalDay,
  lastDay: LocalDay,
  people?: readonly TechnicianId[],
): Promise<(technician: TechnicianId) => LeaveFacts> {
  const within = { day: { $gte: firstDay, $lte: lastDay } };
  const usual = await loadUsual(em, people);
  const absences = await em.find(AbsenceEntity, { ...within, ...among(people) });
  const leave = groupBy(absences, ({ technician }) => technician);
  const closed = await em.find(ClosedDayEntity, within);
  const closedDays = new Map(closed.map(({ day, isPaid }) => [day, { isPaid }]));
  return (technician) => ({
    plannedOn: (day) => usual(technician, day),
    leave: (leave.get(technician) ?? []).map(leaveOfAbsence),
    closedDays,
  });
}
/** How long somebody is away in a year, and what the shop allows of it by kind. */
export type LeaveYear = {
  readonly facts: LeaveFacts;
  readonly allowed: ReadonlyMap<string, Seconds>;
  readonly balances: (today: LocalDay) => readonly LeaveBalance[];
};

/** A year of leave of some people, or of everybody. */
export async function loadLeaveYear(
  em: EntityManager,
  year: number,
  people?: readonly TechnicianId[],
): Promise<(technician: TechnicianId) => LeaveYear> {
  const first = firstDayOfYear(year);
  const days = daysFrom(first, firstDayOfYear(year + 1) - first);
  const factsOf = await loadLeaveFacts(em, first, days.at(-1) ?? first, people);
  const allowed = groupBy(
    await em.find(LeaveAllowanceEntity, { year, ...among(people) }),
    ({ technician }) => technician,
  );
  return (technician) => {
    const facts = factsOf(technician);
    const own = new Map((allowed.get(technician) ?? []).map(({ kind, seconds }) => [kind, seconds]));
    return { facts, allowed: own, balances: (today) => leaveBalances(facts, own, days, today) };
  };
}

/** An absence as pay reads it. */
export const leaveOfAbsence = ({
  day,
  kind,
  isPaid,
  seconds,
}: {
  readonly day: LocalDay;
  readonly kind: string;
  readonly isPaid: boolean;
  readonly seconds?: Seconds | null | undefined;
}): Leave => ({ day, kind, isPaid, seconds: seconds ?? undefined });
