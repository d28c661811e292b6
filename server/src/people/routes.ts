import { randomUUID } from 'node:crypto';
import { formatRate } from '@wergon/core/money';
import { costRateOn } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import type { Context, Mount } from '../http/index.ts';
import { costRatesByTechnician, gradeRatesOf } from './costRates.ts';
import { refuse } from '../http/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { ensureListItems } from '../shop/index.ts';
import { mountBadges } from './badges.ts';
import { BadgeEntity, CostRateEntity, GradeEntity, TechnicianEntity } from './entities.ts';
import { hashPin } from './pins.ts';
import { mountPlans } from './plans.ts';
import { addTechnician, columnsOf, writeTechnician } from './technicians.ts';

export function mountPeople(mount: Mount, context: Context): void {
  const { database, clock, shop, setupChanged } = context;
  const changed = () => setupChanged('shop');
  mountBadges(mount, context);
  mountPlans(mount, context);

  mount('people', async ({ who }) => {
    const em = database.em.fork();
    const technicians = await em.findAll(TechnicianEntity);
    const costRates = costRatesByTechnician(await em.findAll(CostRateEntity));
    const badges = await em.findAll(BadgeEntity);
    const grades = await em.findAll(GradeEntity, { orderBy: { name: 1 } });
    const today = (await shop.get()).zone.dayAt(clock.now());
    const mayHandOut = who.rights.has('people.change');
    return ok({
      technicians: technicians.map((technician) => ({
        ...writeTechnician(technician),
        badges: badges
          .filter((badge) => badge.technician === technician.id)
          .map(({ id, code, isBound, revokedAt }) => ({
            id,
            code: mayHandOut ? code : null,
            isBound,
            revokedAt: revokedAt ?? null,
          })),
        hasRate: costRateOn(costRates.get(technician.id) ?? [], today) !== undefined,
      })),
      grades: grades.map(({ id, name, standardRate }) => ({
        id,
        name,
        standardRate: formatRate(standardRate),
      })),
    });
  });

  mount('names', async () => {
    const today = (await shop.get()).zone.dayAt(clock.now());
    const technicians = await database.em.fork().findAll(TechnicianEntity);
    return ok({
      people: technicians
        .filter(({ leftOn }) => leftOn == null || leftOn >= today)
        .map(({ id, name, department }) => ({ id, name, department })),
    });
  });

  const findNumber = (number: string) => database.em.fork().findOne(TechnicianEntity, { number });
  const findBadGrade = async (grade: string | null) =>
    grade !== null && !(await database.em.fork().findOne(GradeEntity, { id: grade }))
      ? refuse('input.invalid', [{ field: 'grade', message: 'no such grade' }])
      : undefined;
  const numberTaken = () =>
    refuse('record.taken', [{ field: 'number', message: 'somebody has this number' }]);

  mount('addTechnician', async ({ body }) => {
    if (await findNumber(body.number)) return numberTaken();
    const badGrade = await findBadGrade(body.grade);
    if (badGrade) return badGrade;
    const id = await database.em.fork().transactional(async (em) => {
      await ensureListItems(em, { department: [body.department], crew: [body.crew] });
      return addTechnician(em, body, drawRandomCode('badge'));
    });
    changed();
    return ok({ id });
  });

  mount('saveTechnician', async ({ param, body }) => {
    const id = param('technician');
    const taken = await findNumber(body.number);
    if (taken && taken.id !== id) return numberTaken();
    const badGrade = await findBadGrade(body.grade);
    if (badGrade) return badGrade;
    const found = await database.em.fork().transactional(async (em) => {
      await ensureListItems(em, { department: [body.department], crew: [body.crew] });
      return em.nativeUpdate(TechnicianEntity, { id }, columnsOf(body));
    });
    changed();
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('setPin', async ({ param, body }) => {
    const pinHash = body.pin === null ? null : await hashPin(body.pin);
    const found = await database.em
      .fork()
      .nativeUpdate(TechnicianEntity, { id: param('technician') }, { pinHash });
    changed();
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  const findGrade = (name: string) => database.em.fork().findOne(GradeEntity, { name });
  const gradeTaken = () =>
    refuse('record.taken', [{ field: 'name', message: 'there is a grade of this name' }]);

  mount('addGrade', async ({ body }) => {
    if (await findGrade(body.name)) return gradeTaken();
    const id = randomUUID();
    await database.em.fork().insert(GradeEntity, { id, ...body, rates: null });
    changed();
    return ok({ id });
  });

  mount('saveGrade', async ({ param, body }) => {
    const id = param('grade');
    const taken = await findGrade(body.name);
    if (taken && taken.id !== id) return gradeTaken();
    const grade = await database.em.fork().findOne(GradeEntity, { id });
    if (!grade) return refuse('record.not_found');
    // Work of days gone by stays at the standard rate of those days.
    const today = (await shop.get()).zone.dayAt(clock.now());
    const earlier = gradeRatesOf(grade).filter(({ from }) => from < today);
    const rates =
      body.standardRate === grade.standardRate
        ? (grade.rates ?? null)
        : [...earlier, { from: today, rate: body.standardRate }];
    await database.em.fork().nativeUpdate(GradeEntity, { id }, { ...body, rates });
    changed();
    return ok(null);
  });
}
