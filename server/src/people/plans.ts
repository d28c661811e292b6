import type { TechnicianId, WorkPattern } from '@wergon/core/people';
import { plannedOn } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { addDays, daysFrom } from '@wergon/core/time';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';
import { AbsenceEntity, PatternEntity, TechnicianEntity } from './entities.ts';
import { secondsAway } from './planned.ts';

/** How far ahead a plan is told. */
const DAYS_AHEAD = 28;

/** Routes of what is planned: patterns and absences, apart from what was worked. */
export function mountPlans(mount: Mount, { database, clock, shop, live }: Context): void {
  const hasTechnician = async (id: TechnicianId) =>
    (await database.em.fork().count(TechnicianEntity, { id })) > 0;

  mount('plan', async ({ param }) => {
    const technician = param('technician');
    if (!(await hasTechnician(technician))) return refuse('record.not_found');
    const em = database.em.fork();
    const { zone } = await shop.get();
    const today = zone.dayAt(clock.now());
    const rows = await em.find(PatternEntity, { technician }, { orderBy: { fromDay: 1 } });
    const patterns = rows.map(({ fromDay, weeks }): WorkPattern => ({ from: fromDay, weeks }));
    const absences = await em.find(
      AbsenceEntity,
      { technician, day: { $gte: addDays(today, -60) } },
      { orderBy: { day: 1 } },
    );
    const closed = new Map((await em.findAll(ClosedDayEntity)).map(({ day, name }) => [day, name]));
    const absent = new Map(absences.map((each) => [each.day, each]));
    const days = daysFrom(today, DAYS_AHEAD);
    return ok({
      patterns: patterns.map(({ from, weeks }) => ({
        from,
        weeks: weeks.map((week) => [...week]),
      })),
      absences: absences.map(({ day, kind, isPaid, seconds }) => ({
        day,
        kind,
        isPaid,
        seconds: seconds ?? null,
      })),
      days: days.map((day) => {
        const planned = plannedOn(patterns, closed.has(day), secondsAway(absent.get(day)), day);
        return {
          day,
          kind: planned.kind,
          plannedSeconds: planned.kind === 'work' ? planned.seconds : 0,
          plan: planned.kind === 'work' ? planned.plan : null,
          why:
            (planned.kind === 'closed'
              ? closed.get(day)
              : planned.kind === 'absent'
                ? absent.get(day)?.kind
                : null) ?? '',
        };
      }),
    });
  });

  mount('savePattern', async ({ param, body }) => {
    const technician = param('technician');
    if (!(await hasTechnician(technician))) return refuse('record.not_found');
    await database.em.fork().upsert(PatternEntity, { technician, fromDay: body.from, weeks: body.weeks });
    live.publishSetup();
    return ok(null);
  });
}
