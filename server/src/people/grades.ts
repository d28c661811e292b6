import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { gradeRatesOf } from './costRates.ts';
import { GradeEntity } from './entities.ts';

/** Routes of grades, at whose standard rates work is estimated. */
export function mountGrades(mount: Mount, { database, clock, shop, setupChanged }: Context): void {
  const findGrade = (name: string) => database.em.fork().findOne(GradeEntity, { name });
  const gradeTaken = () =>
    refuse('record.taken', [{ field: 'name', message: 'there is a grade of this name' }]);

  mount('addGrade', async ({ body }) => {
    if (await findGrade(body.name)) return gradeTaken();
    const id = randomUUID();
    await database.em.fork().insert(GradeEntity, { id, ...body, rates: null });
    setupChanged('shop');
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
    setupChanged('shop');
    return ok(null);
  });
}
