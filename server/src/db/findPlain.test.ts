import type { EntityName } from '@mikro-orm/libsql';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { OrderEntity, StandardEntity, TaskEntity } from '../work/index.ts';
import { ShopEntity } from '../shop/index.ts';
import { TechnicianEntity } from '../people/index.ts';
import { findPlain } from './findPlain.ts';
import type { PlainQuery } from './findPlain.ts';
import { readSql } from './sql.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  const made = shop.newOrder('1002');
  const tasks = made.tasks.map((task) => ({ ...task, title: `${task.title} “twice”`, isOptional: true }));
  const order = { ...made, notes: 'O’Hara; --', tasks };
  await shop.post('/api/work', order);
});
afterAll(() => shop.close());

const find = <Entity extends object>(entity: EntityName<Entity>, query?: PlainQuery) =>
  readSql(shop.database, (sql) => findPlain(sql, shop.database, entity, query));

async function compare<Entity extends object>(entity: EntityName<Entity>): Promise<void> {
  const em = shop.database.em.fork();
  const { props } = em.getMetadata().get<Entity>(entity);
  const valuesOf = (record: object) => {
    const values = new Map<string, unknown>(Object.entries(record));
    return Object.fromEntries(props.map(({ name }) => [name, values.get(name) ?? null]));
  };
  const [plain, entities] = [await find(entity), await em.findAll(entity)];
  expect(plain.map(valuesOf)).toEqual(entities.map((each) => valuesOf({ ...each })));
}
test.each<[name: string, compared: () => Promise<void>]>([
  ['orders', () => compare(OrderEntity)],
  ['tasks', () => compare(TaskEntity)],
  ['standards', () => compare(StandardEntity)],
  ['people', () => compare(TechnicianEntity)],
  ['the shop', () => compare(ShopEntity)],
])('plain records of %s are what the entities say, field by field', async (_name, compared) => {
  await compared();
  expect.hasAssertions();
});

test('rows are looked for by many values at once, and come in the order asked for', async () => {
  const orders = await find(OrderEntity);
  expect(orders).toHaveLength(2);
  const second = orders.find(({ number }) => number === '1002');
  expect(second?.notes).toBe('O’Hara; --');
  const own = await find(TaskEntity, {
    where: { column: 'work_order', among: [second?.id ?? '', 'none', "'; drop table task; --"] },
    sortedBy: ['position'],
  });
  expect(own.map(({ title, isOptional, estimate }) => [title, isOptional, estimate.at(-1)?.value])).toEqual([
    ['Strip “twice”', true, 3600],
    ['Winding “twice”', true, 3600],
  ]);
  expect(await find(TaskEntity, { where: { column: 'work_order', among: [] } })).toEqual([]);
});
