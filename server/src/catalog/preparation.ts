import type { ListName } from '@wergon/contract/shop';
import { formatRate } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { nextOrderNumber, usuallyIncluded } from '@wergon/core/work';
import type { CatalogContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { GradeEntity } from '../people/index.ts';
import {
  CustomerEntity,
  ListItemEntity,
  ResourceEntity,
  UnitEntity,
  settingsOf,
  unitWords,
} from '../shop/index.ts';

/** What a form for an order needs to know. */
export function mountPreparation(mount: Mount, { database, facts }: CatalogContext): void {
  mount('preparation', async () => {
    const { shop, orders, technicians } = await facts.get();
    const em = database.em.fork();
    const items = await em.find(ListItemEntity, { isOff: false }, { orderBy: { name: 1 } });
    const listed = (list: ListName) => items.filter((item) => item.list === list).map(({ name }) => name);
    const grades = await em.findAll(GradeEntity, { orderBy: { name: 1 } });
    const centers = await em.find(
      ResourceEntity,
      { kind: 'work-center', isOff: false },
      { orderBy: { name: 1 } },
    );
    const customers = await em.find(CustomerEntity, { isOff: false }, { orderBy: { name: 1 } });
    const units = await em.findAll(UnitEntity, { orderBy: { owner: 1, type: 1 } });
    return ok({
      nextNumber: nextOrderNumber(
        settingsOf(shop).orderNumbers,
        [...orders.values()].map(({ number }) => number),
      ),
      estimateIncludes: usuallyIncluded(settingsOf(shop).work.includesTravel),
      grades: grades.map(({ id, name, standardRate }) => ({
        id,
        name,
        standardRate: formatRate(standardRate),
      })),
      workCenters: centers.map(({ name }) => name),
      customers: customers.map(({ name }) => name),
      divisions: listed('division'),
      jobTypes: listed('job-type'),
      costCodes: listed('cost-code'),
      crews: listed('crew'),
      units: units.map((unit) => ({
        id: unit.id,
        type: unit.type,
        words: unitWords(unit),
        owner: unit.owner,
      })),
      technicians: [...technicians.values()]
        .filter(({ leftOn }) => leftOn == null)
        .map(({ id, name, crew }) => ({ id, name, crew })),
    });
  });
}
