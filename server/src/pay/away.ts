import type { EntityManager } from '@mikro-orm/libsql';
import { paidAwayOf } from '@wergon/core/pay';
import type { Leave } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import { daysFrom, toSeconds } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { AbsenceEntity, loadPlans } from '../people/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';

/** What somebody is paid for a day on which they did not work; a closed day has a kind of its own. */
export type AwayDay = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly kind: string;
  readonly seconds: Seconds;
};
export const CLOSED_KIND = 'closed';

/** What is planned of people on some days, and what they are paid while they are away. */
export type Away = {
  readonly plannedSeconds: (technician: TechnicianId) => number;
  readonly days: readonly AwayDay[];
};

/** Time away of everybody who is told of, of some days. */
export async function loadAway(
  em: EntityManager,
  facts: ShopFacts,
  firstDay: LocalDay,
  lastDay: LocalDay,
): Promise<Away> {
  const within = { day: { $gte: firstDay, $lte: lastDay } };
  const leave = groupBy(await em.find(AbsenceEntity, within), ({ technician }) => technician);
  const closed = await em.find(ClosedDayEntity, within);
  const closedDays = new Map(closed.map(({ day, isPaid }) => [day, { isPaid }]));
  const plans = await loadPlans(em, firstDay, lastDay);
  const all = daysFrom(firstDay, lastDay - firstDay + 1);
  const employed = [...facts.technicians.values()].map(({ id, hiredOn, leftOn }) => ({
    id,
    days: all.filter((day) => (hiredOn == null || day >= hiredOn) && (leftOn == null || day <= leftOn)),
  }));
  return {
    plannedSeconds: (technician) => all.reduce((sum, day) => sum + plans(technician, day).seconds, 0),
    days: employed.flatMap(({ id, days }) => {
      const own = (leave.get(id) ?? []).map(({ day, kind, isPaid }): Leave => ({ day, kind, isPaid }));
      const plannedOn = (day: LocalDay) => toSeconds(plans(id, day).usualSeconds);
      return paidAwayOf({ plannedOn, leave: own, guarantees: [], closedDays }, days, [], () => 0).map(
        ({ day, kind, seconds }) => ({
          technician: id,
          day,
          kind: kind.of === 'leave' ? kind.name : CLOSED_KIND,
          seconds,
        }),
      );
    }),
  };
}
