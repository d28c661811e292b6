import { fraction } from '@wergon/core/money';
import { PAY_CLASSES, paidAwayOf, weeksBetween } from '@wergon/core/pay';
import type { PayPeriod } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import { addDays, daysFrom, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay, Seconds } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import { loadShiftDays } from '../ledger/index.ts';
import { AbsenceEntity, leaveOfAbsence, loadPlans } from '../people/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';
import { GuaranteeEntity } from './entities.ts';

/** What somebody is paid for a day on which they did not work; closed days and guaranteed hours have kinds of their own. */
export type AwayDay = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly kind: string;
  readonly seconds: Seconds;
};
export const CLOSED_KIND = 'closed';
export const GUARANTEE_KIND = 'guarantee';

/** What is planned of people on some days, and what they are paid while they are away. */
export type Away = {
  readonly plannedSeconds: (technician: TechnicianId) => number;
  readonly days: readonly AwayDay[];
};

/** A week that ends on the first day of a period began so many days before it. */
const DAYS_BEFORE = 6;

/** Time away of everybody who is told of, of a period. Hours that a week lacks of what is guaranteed lie on its last day. */
export async function loadAway(
  database: Database,
  facts: ShopFacts,
  { firstDay, lastDay }: PayPeriod,
  now: Instant,
): Promise<Away> {
  const em = database.em.fork();
  const guarantees = groupBy(await em.findAll(GuaranteeEntity), ({ technician }) => technician);
  const from = guarantees.size > 0 ? addDays(firstDay, -DAYS_BEFORE) : firstDay;
  const within = { day: { $gte: from, $lte: lastDay } };
  const leave = groupBy(await em.find(AbsenceEntity, within), ({ technician }) => technician);
  const closed = await em.find(ClosedDayEntity, within);
  const closedDays = new Map(closed.map(({ day, isPaid }) => [day, { isPaid }]));
  const plans = await loadPlans(em, from, lastDay);
  const asked = { firstDay: from, lastDay, people: [...guarantees.keys()] };
  const paidOn = await readSql(database, (sql) => loadPaidSeconds(sql, facts, asked, now));
  const all = daysFrom(from, lastDay - from + 1);
  const employed = [...facts.technicians.values()].map(({ id, hiredOn, leftOn }) => ({
    id,
    days: all.filter((day) => (hiredOn == null || day >= hiredOn) && (leftOn == null || day <= leftOn)),
  }));
  const today = facts.zone.dayAt(now);
  const inPeriod = all.filter((day) => day >= firstDay);
  return {
    plannedSeconds: (technician) => inPeriod.reduce((sum, day) => sum + plans(technician, day).seconds, 0),
    days: employed.flatMap(({ id, days }) => {
      const own = (leave.get(id) ?? []).map(leaveOfAbsence);
      const guaranteed = (guarantees.get(id) ?? []).map(({ fromDay, seconds }) => ({
        from: fromDay,
        hours: fraction(BigInt(seconds), 3600n),
      }));
      const plannedOn = (day: LocalDay) => toSeconds(plans(id, day).usualSeconds);
      const weeks =
        guaranteed.length === 0
          ? []
          : weeksBetween((day) => facts.overtime.weekOf(id, day), from, lastDay).filter(
              // What a week lacks is known when it is over.
              (week) => week.lastDay < today,
            );
      return paidAwayOf({ plannedOn, leave: own, guarantees: guaranteed, closedDays }, days, weeks, (day) =>
        paidOn(id, day),
      )
        .filter(({ day }) => day >= firstDay)
        .map(({ day, kind, seconds }) => ({
          technician: id,
          day,
          kind: kind.of === 'leave' ? kind.name : kind.of === 'closed' ? CLOSED_KIND : GUARANTEE_KIND,
          seconds,
        }));
    }),
  };
}

/** What people worked and are paid for on shift days, approved or not. */
function loadPaidSeconds(
  sql: Sql,
  facts: ShopFacts,
  asked: {
    readonly firstDay: LocalDay;
    readonly lastDay: LocalDay;
    readonly people: readonly TechnicianId[];
  },
  now: Instant,
): (technician: TechnicianId, day: LocalDay) => number {
  const days = asked.people.length === 0 ? [] : loadShiftDays(sql, facts, asked, now);
  const paid = new Map(
    days.map(({ technician, day, classes }) => [
      `${technician} ${day}`,
      PAY_CLASSES.reduce((sum, each) => sum + classes[each], 0),
    ]),
  );
  return (technician, day) => paid.get(`${technician} ${day}`) ?? 0;
}
