import type { TechnicianId, WorkPattern } from '@wergon/core/people';
import { plannedSeconds, plannedOn } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { addDays, daysFrom, formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';
import { AbsenceEntity, PatternEntity, TechnicianEntity } from './entities.ts';

/** How far ahead a plan is told. */
const DAYS_AHEAD = 28;

/** Routes of what is planned: patterns and absences, apart from what was worked. */
export function mountPlans(mount: Mount, { database, clock, shop, live, closedUntil }: Context): void {
  /** Leave is paid with its period: in a closed one it stays as it was paid. */
  const refuseClosed = async (from: LocalDay) => {
    const closed = await closedUntil();
    return closed !== null && from <= closed
      ? refuse('approve.closed', [
          { field: 'from', message: `${formatDay(from)} lies in a closed pay period` },
        ])
      : undefined;
  };
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
    const absent = new Map(absences.map(({ day, kind }) => [day, kind]));
    const days = daysFrom(today, DAYS_AHEAD);
    return ok({
      patterns: patterns.map(({ from, weeks }) => ({
        from,
        weeks: weeks.map((week) => [...week]),
      })),
      absences: absences.map(({ day, kind, isPaid }) => ({ day, kind, isPaid })),
      days: days.map((day) => {
        const planned = plannedOn(patterns, closed.has(day), absent.has(day), day);
        return {
          day,
          kind: planned.kind,
          plannedSeconds: planned.kind === 'work' ? plannedSeconds(planned.plan) : 0,
          plan: planned.kind === 'work' ? planned.plan : null,
          why:
            (planned.kind === 'closed'
              ? closed.get(day)
              : planned.kind === 'absent'
                ? absent.get(day)
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

  mount('addAbsence', async ({ param, body }) => {
    const technician = param('technician');
    if (!(await hasTechnician(technician))) return refuse('record.not_found');
    const { from, to, kind, isPaid } = body;
    const closed = await refuseClosed(from);
    if (closed) return closed;
    const days = daysFrom(from, to - from + 1);
    await database.em.fork().upsertMany(
      AbsenceEntity,
      days.map((day) => ({ technician, day, kind, isPaid })),
    );
    live.publishSetup();
    return ok(null);
  });

  mount('removeAbsence', async ({ param, body }) => {
    const closed = await refuseClosed(body.from);
    if (closed) return closed;
    const removed = await database.em.fork().nativeDelete(AbsenceEntity, {
      technician: param('technician'),
      day: { $gte: body.from, $lte: body.to },
    });
    live.publishSetup();
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}
