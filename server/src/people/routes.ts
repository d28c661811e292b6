import { randomUUID } from 'node:crypto';
import { rateRecordSchema } from '@wergon/contract/ledger';
import { formatRate } from '@wergon/core/money';
import { costRateOn, costRatesOf } from '@wergon/core/people';
import type { TechnicianId } from '@wergon/core/people';
import { Defect, ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { writeSql } from '../db/index.ts';
import { deriveLines } from '../ledger/projection.ts';
import { createFactsCache } from '../shop/facts.ts';
import { drawRandomCode } from '../station/drawCode.ts';
import { BadgeEntity, CostRateEntity, GradeEntity, TechnicianEntity } from './entities.ts';
import { addTechnician } from './technicians.ts';

export function mountPeople(mount: Mount, context: Context): void {
  const { database, clock, facts, live } = context;
  const changed = () => {
    facts.forget();
    live.publishSetup();
  };

  mount('people', async () => {
    const known = await facts.get();
    const em = database.em.fork();
    const badges = await em.find(BadgeEntity, { revokedAt: null });
    const grades = await em.findAll(GradeEntity, { orderBy: { name: 1 } });
    const today = known.zone.dayAt(clock.now());
    return ok({
      technicians: [...known.technicians.values()].map(({ id, number, name, department, leftOn }) => ({
        id,
        number,
        name,
        department,
        leftOn: leftOn === null ? null : formatDay(leftOn as LocalDay),
        badges: badges.flatMap((badge) =>
          badge.technician === id ? [{ id: badge.id, code: badge.code }] : [],
        ),
        hasRate: costRateOn(known.costRates.get(id as TechnicianId) ?? [], today) !== undefined,
      })),
      grades: grades.map(({ id, name }) => ({ id, name })),
    });
  });

  mount('addTechnician', async ({ body }) => {
    const em = database.em.fork();
    if (await em.findOne(TechnicianEntity, { number: body.number }))
      return refuse('record.taken', [{ field: 'number', message: 'somebody has this number' }]);
    const id = await em.transactional((inner) =>
      addTechnician(inner, { ...body, badgeCode: drawRandomCode('badge') }),
    );
    changed();
    return ok({ id });
  });

  mount('leave', async ({ param, body }) => {
    const found = await database.em
      .fork()
      .nativeUpdate(TechnicianEntity, { id: param('technician') }, { leftOn: body.leftOn });
    changed();
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('addRate', async ({ param, body, req }) => {
    const technician = param('technician') as TechnicianId;
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const { from } = body.record;
    const [rate] = costRatesOf([body.record]);
    if (!rate) throw new Defect('a record without a rate');
    // Kept as it was sent, in the decimal strings that the schema has just read.
    const record = JSON.stringify((req.body as { record: unknown }).record);
    rateRecordSchema.parse(JSON.parse(record));
    const em = database.em.fork();
    if (await em.findOne(CostRateEntity, { technician, fromDay: from }))
      return refuse('record.taken', [{ field: 'record.from', message: 'there is a rate of this date' }]);
    await em.insert(CostRateEntity, { technician, fromDay: from, record });
    const fresh = await createFactsCache(database).get();
    await writeSql(database, (sql) => {
      const days = sql.all<{ day: LocalDay }>(
        'select distinct "day" from "labor_line" where "technician" = ? and "day" >= ?',
        [technician, from],
      );
      deriveLines(sql, fresh, technician, new Set(days.map(({ day }) => day)));
    });
    changed();
    return ok({ rate: formatRate(rate.rate) });
  });

  mount('addGrade', async ({ body }) => {
    const em = database.em.fork();
    if (await em.findOne(GradeEntity, { name: body.name }))
      return refuse('record.taken', [{ field: 'name', message: 'there is a grade of this name' }]);
    const id = randomUUID();
    await em.insert(GradeEntity, { id, ...body });
    live.publishSetup();
    return ok({ id });
  });
}
