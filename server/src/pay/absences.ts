import { ok } from '@wergon/core/result';
import { calendarYear, daysFrom, formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { estimateSeconds } from '@wergon/core/work';
import { readSql } from '../db/index.ts';
import { daysWorked } from '../floor/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { AbsenceEntity, LeaveAllowanceEntity, loadLeaveYear } from '../people/index.ts';
import { ClosedDayEntity } from '../shop/index.ts';

/** Routes of absences as the desk enters them, and of the hours a year that the shop allows. Source: docs/pay.md, time off. */
export function mountAbsences(
  mount: Mount,
  { database, clock, facts, shop, live, closedUntil }: LedgerContext,
): void {
  /** Leave is paid with its period: in a closed one it stays as it was paid. */
  const refuseClosed = async (from: LocalDay) => {
    const closed = await closedUntil();
    return closed !== null && from <= closed
      ? refuse('approve.closed', [
          { field: 'from', message: `${formatDay(from)} lies in a closed pay period` },
        ])
      : undefined;
  };

  mount('addAbsence', async ({ param, body: { from, to, kind, isPaid, hours } }) => {
    const technician = param('technician');
    if (!(await facts.get()).technicians.has(technician)) return refuse('record.not_found');
    const refusal = await refuseClosed(from);
    if (refusal) return refusal;
    const seconds = hours === null ? null : estimateSeconds({ runHours: hours }, 1);
    const em = database.em.fork();
    await em.upsertMany(
      AbsenceEntity,
      daysFrom(from, to - from + 1).map((day) => ({ technician, day, kind, isPaid, seconds })),
    );
    live.publishSetup();
    const closed = await em.find(ClosedDayEntity, { day: { $gte: from, $lte: to } }, { orderBy: { day: 1 } });
    return ok({
      worked: [...(await readSql(database, (sql) => daysWorked(sql, technician, from, to)))],
      closed: closed.map(({ day }) => day),
    });
  });

  mount('removeAbsence', async ({ param, body }) => {
    const refusal = await refuseClosed(body.from);
    if (refusal) return refusal;
    const removed = await database.em.fork().nativeDelete(AbsenceEntity, {
      technician: param('technician'),
      day: { $gte: body.from, $lte: body.to },
    });
    live.publishSetup();
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('leaveBalances', async ({ param, query }) => {
    const technician = param('technician');
    if (!(await facts.get()).technicians.has(technician)) return refuse('record.not_found');
    const today = (await shop.get()).zone.dayAt(clock.now());
    const year = query.year ?? calendarYear(today);
    const of = await loadLeaveYear(database.em.fork(), year, [technician]);
    return ok({ year, balances: [...of(technician).balances(today)] });
  });

  mount('saveAllowance', async ({ param, body: { year, kind, hours } }) => {
    const technician = param('technician');
    if (!(await facts.get()).technicians.has(technician)) return refuse('record.not_found');
    const em = database.em.fork();
    const key = { technician, year, kind };
    if (hours === null) {
      if ((await em.nativeDelete(LeaveAllowanceEntity, key)) === 0) return refuse('record.not_found');
    } else
      await em.upsert(LeaveAllowanceEntity, { ...key, seconds: estimateSeconds({ runHours: hours }, 1) });
    live.publishSetup();
    return ok(null);
  });
}
