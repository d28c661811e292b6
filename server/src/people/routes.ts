import { formatRate } from '@wergon/core/money';
import { costRateOn } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import type { Context, Mount } from '../http/index.ts';
import { costRatesByTechnician } from './costRates.ts';
import { refuse } from '../http/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { ensureListItems } from '../shop/index.ts';
import { mountBadges } from './badges.ts';
import { BadgeEntity, CostRateEntity, GradeEntity, TechnicianEntity } from './entities.ts';
import { mountGrades } from './grades.ts';
import { hashPin } from './pins.ts';
import { mountPlans } from './plans.ts';
import { addTechnician, columnsOf, writeTechnician } from './technicians.ts';

/** Routes of people: who they are, what they carry, when they are here, and the grades they work at. */
export function mountPeople(mount: Mount, context: Context): void {
  mountBadges(mount, context);
  mountPlans(mount, context);
  mountGrades(mount, context);
  mountNames(mount, context);
  mountTechnicians(mount, context);
}

function mountNames(mount: Mount, { database, clock, shop }: Context): void {
  mount('people', async ({ who, sees }) => {
    const em = database.em.fork();
    const technicians = (await em.findAll(TechnicianEntity)).filter(({ id }) => sees(id));
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

  mount('names', async ({ sees }) => {
    const today = (await shop.get()).zone.dayAt(clock.now());
    const technicians = await database.em.fork().findAll(TechnicianEntity);
    return ok({
      people: technicians
        .filter(({ id, leftOn }) => sees(id) && (leftOn == null || leftOn >= today))
        .map(({ id, name, department }) => ({ id, name, department })),
    });
  });
}

function mountTechnicians(mount: Mount, { database, setupChanged }: Context): void {
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
    setupChanged('shop');
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
    setupChanged('shop');
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('setPin', async ({ param, body }) => {
    const pinHash = body.pin === null ? null : await hashPin(body.pin);
    const found = await database.em
      .fork()
      .nativeUpdate(TechnicianEntity, { id: param('technician') }, { pinHash });
    setupChanged('shop');
    return found > 0 ? ok(null) : refuse('record.not_found');
  });
}
