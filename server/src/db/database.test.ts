import type { WorkOrderId } from '@wergon/core/work';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Migrator } from '@mikro-orm/migrations';
import { TechnicianEntity } from '../people/entities.ts';
import { CustomerEntity, ListItemEntity, ResourceEntity } from '../shop/entities.ts';
import { OrderEntity, TaskEntity } from '../work/entities.ts';
import { openShop } from '../app/database.ts';
import { ENTITIES } from '../app/entities.ts';
import { Migration20261123FirstSchema } from './migrations/Migration20261123FirstSchema.ts';

test('migrations give just the schema that the entities want, and can be run again', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'schema.sqlite');
  await (await openShop(path)).close();
  const database = await openShop(path);
  const missing = await database.schema.getUpdateSchemaSQL({ dropTables: false });
  expect(missing.trim()).toBe('');
  await database.close();
});

test('every connection writes through to the disk before it says so', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'durable.sqlite');
  const database = await openShop(path);
  const pragma = async (name: string) => (await database.em.fork().execute(`pragma ${name}`)) as unknown;
  expect(await pragma('journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  expect(await pragma('synchronous')).toEqual([{ synchronous: 2 }]);
  await database.close();
});

test('data of the first version opens in this one, with its words in the new lists', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'old.sqlite');
  const { MikroORM } = await import('@mikro-orm/libsql');
  const old = await MikroORM.init({
    dbName: path,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: {
      migrationsList: [{ name: 'Migration20261123FirstSchema', class: Migration20261123FirstSchema }],
      snapshot: false,
      silent: true,
    },
  });
  await old.migrator.up();
  for (const statement of [
    `insert into shop values (1, 'Old shop', 'Europe/Oslo', 'EUR', '[]')`,
    `insert into technician (id, number, name, department) values ('t', '1', 'Ada', 'Winding')`,
    `insert into badge (id, technician, code) values ('b', 't', 'BND9L1B44TL9SJ')`,
    `insert into work_order (id, number, title, customer, quantity, states, includes, code) values ('o', '1001', 'Rewind', 'Aker Dairy', 1, '[]', '[]', 'J3KN8G3T')`,
    `insert into task (id, work_order, position, title, work_center, grade, code, has_estimate, estimate, standard_rate, estimated_cost) values ('k', 'o', 10, 'Strip', 'Bench', 'g', 'TK56JS69U', 1, '[{"from":0,"value":3600}]', 500000, 5000)`,
  ])
    await old.em.execute(statement);
  await old.close();
  const database = await openShop(path);
  const em = database.em.fork();
  expect(await em.findOneOrFail(TechnicianEntity, { id: 't' as TechnicianId })).toMatchObject({
    name: 'Ada',
    kind: 'own',
    crew: '',
  });
  expect(await em.findOneOrFail(TaskEntity, { id: 'k' as TargetId })).toMatchObject({
    isAccepted: true,
    hours: null,
    estimatedCost: 5000,
  });
  expect(await em.findOneOrFail(OrderEntity, { id: 'o' as WorkOrderId })).toMatchObject({
    version: 1,
    notes: '',
  });
  expect((await em.findAll(ListItemEntity)).map(({ list, name }) => [list, name])).toEqual([
    ['department', 'Winding'],
  ]);
  expect((await em.findAll(CustomerEntity)).map(({ name }) => name)).toEqual(['Aker Dairy']);
  expect((await em.findAll(ResourceEntity)).map(({ name }) => name)).toEqual(['Bench']);
  await database.close();
});
