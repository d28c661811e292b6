import type { EntityName } from '@mikro-orm/libsql';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { OrderEntity, StandardEntity, TaskEntity } from '../work/index.ts';
import { ShopEntity } from '../shop/index.ts';
import { TechnicianEntity } from '../people/index.ts';
import { findPlain } from './findPlain.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  const made = shop.newOrder('1002');
  const tasks = made.tasks.map((task) => ({ ...task, title: `${task.title} “twice”`, isOptional: true }));
  const order = { ...made, notes: 'O’Hara; --', tasks };
  await shop.post('/api/work', order);
});
afterAll(() => shop.close());

test.each<[name: string, entity: EntityName<object>]>([
  ['orders', OrderEntity],
  ['tasks', TaskEntity],
  ['standards', StandardEntity],
  ['people', TechnicianEntity],
  ['the shop', ShopEntity],
])('plain records of %s are what the entities say, field by field', async (_name, entity) => {
  const em = shop.database.em.fork();
  const { props } = em.getMetadata().get<object>(entity);
  const valuesOf = (record: object) => {
    const values = new Map<string, unknown>(Object.entries(record));
    return Object.fromEntries(props.map(({ name }) => [name, values.get(name) ?? null]));
  };
  const plain = await findPlain(em, entity);
  expect(plain.map(valuesOf)).toEqual((await em.findAll(entity)).map((each) => valuesOf({ ...each })));
});

test('rows are looked for by many values at once, and come in the order asked for', async () => {
  const em = shop.database.em.fork();
  const orders = await findPlain(em, OrderEntity);
  expect(orders).toHaveLength(2);
  const second = orders.find(({ number }) => number === '1002');
  expect(second?.notes).toBe('O’Hara; --');
  const own = await findPlain(em, TaskEntity, {
    where: { column: 'work_order', among: [second?.id ?? '', 'none', "'; drop table task; --"] },
    sortedBy: ['position'],
  });
  expect(own.map(({ title, isOptional, estimate }) => [title, isOptional, estimate.at(-1)?.value])).toEqual([
    ['Strip “twice”', true, 3600],
    ['Winding “twice”', true, 3600],
  ]);
  expect(await findPlain(em, TaskEntity, { where: { column: 'work_order', among: [] } })).toEqual([]);
});
