import type { WorkOrderId } from '@wergon/core/work';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Migrator } from '@mikro-orm/migrations';
import { GuaranteeEntity } from '../pay/entities.ts';
import { TechnicianEntity } from '../people/entities.ts';
import { CustomerEntity, ListItemEntity, ResourceEntity } from '../shop/entities.ts';
import { OrderEntity, TaskEntity } from '../work/entities.ts';
import { openShop } from '../app/database.ts';
import { ENTITIES } from '../app/entities.ts';
import { MIGRATIONS } from './migrate.ts';
import { Migration20261204PayFile } from './migrations/Migration20261204PayFile.ts';
import { Migration20261205TimeOff } from './migrations/Migration20261205TimeOff.ts';
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

/** A database as an older version left it: its migrations, and what was written then. */
async function makeOld(path: string, migrations: typeof MIGRATIONS, statements: readonly string[]) {
  const { MikroORM } = await import('@mikro-orm/libsql');
  const old = await MikroORM.init({
    dbName: path,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: {
      migrationsList: migrations.map((each) => ({ name: each.name, class: each })),
      snapshot: false,
      silent: true,
      transactional: true,
    },
  });
  await old.migrator.up();
  for (const statement of statements) await old.em.execute(statement);
  await old.close();
}

test('data of the first version opens in this one, with its words in the new lists', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'old.sqlite');
  await makeOld(
    path,
    [Migration20261123FirstSchema],
    [
      `insert into shop values (1, 'Old shop', 'Europe/Oslo', 'EUR', '[]')`,
      `insert into technician (id, number, name, department) values ('t', '1', 'Ada', 'Winding')`,
      `insert into badge (id, technician, code) values ('b', 't', 'BND9L1B44TL9SJ')`,
      `insert into work_order (id, number, title, customer, quantity, states, includes, code) values ('o', '1001', 'Rewind', 'Aker Dairy', 1, '[]', '[]', 'J3KN8G3T')`,
      `insert into task (id, work_order, position, title, work_center, grade, code, has_estimate, estimate, standard_rate, estimated_cost) values ('k', 'o', 10, 'Strip', 'Bench', 'g', 'TK56JS69U', 1, '[{"from":0,"value":3600}]', 500000, 5000)`,
    ],
  );
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

test('periods that were closed before it was kept on what, are told by what they kept of their days', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'closed.sqlite');
  const before = MIGRATIONS.slice(0, MIGRATIONS.indexOf(Migration20261204PayFile));
  const line = (isAdjustment: number, day: number, target: string, seconds: number) =>
    `insert into closed_line values (100, ${isAdjustment}, 't', ${day}, ${day}, '${target}', 'run', ${seconds}, null)`;
  const classes = (isAdjustment: number, day: number, ...seconds: number[]) =>
    `insert into closed_class values (100, ${isAdjustment}, 't', ${day}, ${seconds.join(', ')})`;
  await makeOld(path, before, [
    // All of it straight.
    ...[line(0, 100, 'a', 3600), line(0, 100, 'b', 1800), classes(0, 100, 5400, 0, 0, 0)],
    // Overtime, shared by what is left; and some of it on nothing.
    ...[line(0, 101, 'a', 3000), line(0, 101, 'b', 1500), classes(0, 101, 2700, 1800, 0, 0)],
    ...[line(0, 102, 'a', 3600), classes(0, 102, 4200, 0, 0, 600)],
    // Taken back, and paid as overtime instead.
    ...[line(1, 90, 'a', -600), classes(1, 90, -600, 0, 0, 0)],
    ...[line(1, 91, 'a', 0), classes(1, 91, -600, 600, 0, 0)],
    `insert into technician (id, number, name, department, kind) values ('t', '1', 'Ada', 'Winding', 'own')`,
    `insert into technician (id, number, name, department, kind) values ('s', '2', 'Bo', 'Winding', 'subcontractor')`,
  ]);
  const database = await openShop(path);
  const em = database.em.fork();
  type Row = { shift_day: number; is_adjustment: number; target: string; class: string; seconds: number };
  const rows = (await em.execute(
    'select * from closed_pay order by is_adjustment, shift_day, class desc, target',
  )) as Row[];
  expect(
    rows.map((row) => [row.is_adjustment, row.shift_day, row.target, row.class, row.seconds].join(' ')),
  ).toEqual([
    '0 100 a straight 3600',
    '0 100 b straight 1800',
    '0 101 a straight 1800',
    '0 101 b straight 900',
    '0 101 a overtime 1200',
    '0 101 b overtime 600',
    '0 102  straight 600',
    '0 102 a straight 3600',
    '1 90 a straight -600',
    '1 91 a straight -600',
    '1 91 a overtime 600',
  ]);
  const pays = (await em.findAll(TechnicianEntity, { orderBy: { id: 1 } })).map(({ feedsPay }) => feedsPay);
  expect(pays).toEqual([false, true]);
  await database.close();
});

test('time off that was asked for before it could be taken back stands as it was answered', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'leave.sqlite');
  const before = MIGRATIONS.slice(0, MIGRATIONS.indexOf(Migration20261205TimeOff));
  let seq = 0;
  const said = (id: string, type: string, body: object) =>
    `insert into journal values (${(seq += 1)}, '${id}', 'floor', '${type}', null, '${JSON.stringify({ id, type, ...body })}', '{}', '')`;
  const leave = { kind: 'holiday', from: '2026-03-16', to: '2026-03-18' };
  const ask = (id: string) => said(id, 'request', { technician: 't', what: 'time-off', leave });
  const answer = (request: string, state: string | null) =>
    said(`${request}${seq}`, 'answer', { request, state });
  await makeOld(path, before, [
    ...[ask('a'), ask('b'), ask('c'), ask('d')],
    said('e', 'request', { technician: 't', what: 'help' }),
    ...[answer('b', 'granted'), answer('c', 'granted'), answer('c', 'refused'), answer('d', null)],
    answer('e', null),
  ]);
  const database = await openShop(path);
  const rows = (await database.em.fork().execute('select * from leave_request order by request')) as {
    request: string;
    standing: string;
  }[];
  expect(rows.map(({ request, standing }) => `${request} ${standing}`)).toEqual([
    'a asked',
    'b granted',
    'c refused',
    'd asked',
  ]);
  expect(rows[0]).toMatchObject({ technician: 't', first_day: 20_528, last_day: 20_530, seconds: null });
  // Hours are guaranteed since then too.
  expect(await database.em.fork().findAll(GuaranteeEntity)).toEqual([]);
  await database.close();
});
