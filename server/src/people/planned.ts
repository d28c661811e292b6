import type { EntityManager } from '@mikro-orm/libsql';
import { plannedOn, plannedSeconds } from '@wergon/core/people';
import type { ShiftPlan, TechnicianId, WorkPattern } from '@wergon/core/people';
import { toDay, toSeconds } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';
import { ClosedDayEntity } from '../shop/index.ts';
import { AbsenceEntity, PatternEntity } from './entities.ts';

/** What a day was to be for a person: its shift, its paid length, and why there is none. */
export type Planned = {
  readonly plan: ShiftPlan | undefined;
  readonly seconds: number;
  /** Its paid length whatever became of it. */
  readonly usualSeconds: number;
  readonly absence: string | undefined;
};
export type Plans = (technician: string, day: LocalDay) => Planned;

/** What of a day an absence takes; `null` for all of it. */
export const secondsAway = (
  absence: { readonly seconds?: Seconds | null | undefined } | undefined,
): Seconds | null | undefined => absence && (absence.seconds ?? null);

/** The patterns of some people, or of everybody. */
async function loadPatterns(em: EntityManager, people?: readonly TechnicianId[]) {
  const patterns = new Map<string, WorkPattern[]>();
  for (const { technician, fromDay, weeks } of await em.find(PatternEntity, among(people)))
    patterns.set(technician, [...(patterns.get(technician) ?? []), { from: toDay(fromDay), weeks }]);
  return patterns;
}
export const among = (people: readonly TechnicianId[] | undefined) =>
  people === undefined ? {} : { technician: { $in: [...people] } };

/** How long some people's days were planned to be, whatever became of them. */
export async function loadUsual(
  em: EntityManager,
  people?: readonly TechnicianId[],
): Promise<(technician: TechnicianId, day: LocalDay) => Seconds> {
  const patterns = await loadPatterns(em, people);
  return (technician, day) => {
    const usual = plannedOn(patterns.get(technician) ?? [], false, undefined, day);
    return usual.kind === 'work' ? usual.seconds : toSeconds(0);
  };
}

/** Reads the plans of everybody for some days. */
export async function loadPlans(em: EntityManager, firstDay: LocalDay, lastDay: LocalDay): Promise<Plans> {
  const patterns = await loadPatterns(em);
  const within = { day: { $gte: firstDay, $lte: lastDay } };
  const absences = new Map(
    (await em.find(AbsenceEntity, within)).map((each) => [`${each.technician} ${each.day}`, each]),
  );
  const closed = new Set((await em.find(ClosedDayEntity, within)).map(({ day }) => day));
  return (technician, day) => {
    const absence = absences.get(`${technician} ${day}`);
    const own = patterns.get(technician) ?? [];
    const planned = plannedOn(own, closed.has(day), secondsAway(absence), day);
    const usual = planned.kind === 'work' ? planned : plannedOn(own, false, undefined, day);
    return {
      plan: planned.kind === 'work' ? planned.plan : undefined,
      seconds: planned.kind === 'work' ? planned.seconds : 0,
      usualSeconds: usual.kind === 'work' ? plannedSeconds(usual.plan) : 0,
      absence: planned.kind === 'absent' ? absence?.kind : planned.kind === 'closed' ? 'closed' : undefined,
    };
  };
}
