import { hasLabor } from './namedTargets.ts';
import { readSql, writeSql } from '../db/sql.ts';
import { newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { PROJECTIONS, catchUp, rebuild } from './rebuild.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 1, shop.ada, [shop.strip]),
    shop.scan('work-stop', 61, shop.ada),
    { ...shop.scan('note', 62, shop.ada), text: 'it says "at":5 on the plate' },
    // Ahead of the server's clock: it waits.
    shop.scan('work-start', 130, shop.bo, [shop.strip]),
  );
  await shop.correct({
    id: newId(),
    type: 'hours',
    day: '2026-03-02',
    seconds: 3600,
    technician: shop.ada,
    targets: [shop.winding],
  });
});
afterEach(() => shop.close());

const rows = () =>
  readSql(shop.database, (sql) =>
    Object.fromEntries(
      PROJECTIONS.map((table) => [
        table,
        sql
          .all(`select * from "${table}"`)
          .map((row) => JSON.stringify(row))
          .sort(),
      ]),
    ),
  );
const facts = () => shop.context.facts.get();

/** Entries beside the journal as older versions kept them: instants and days as numbers. */
const toOldForm = () =>
  writeSql(shop.database, (sql) => {
    for (const table of ['effective_entry', 'waiting_entry'])
      for (const { id, body } of sql.all<{ id: string; body: string }>(
        `select "id", "body" from "${table}"`,
      )) {
        const { at, day, ...rest } = JSON.parse(body) as { at?: string; day?: string };
        const old = {
          ...rest,
          ...(at === undefined ? {} : { at: Date.parse(at) / 1000 }),
          ...(day === undefined ? {} : { day: Date.parse(`${day}T00:00:00Z`) / 86_400_000 }),
        };
        sql.run(`update "${table}" set "body" = ? where "id" = ?`, [JSON.stringify(old), id]);
      }
  });

test('entries stand beside the journal as they stand in it: what is kept live is what a rebuild gives', async () => {
  const live = await rows();
  expect(live['waiting_entry']).toHaveLength(1);
  await rebuild(shop.database, await facts(), shop.clock.now());
  expect(await rows()).toEqual(live);
  const [stop] = await readSql(shop.database, (sql) =>
    sql.all<{ journal: string; beside: string }>(
      `select j."body" as "journal", e."body" as "beside" from "journal" j join "effective_entry" e on e."id" = j."id"
       where j."type" = 'work-stop'`,
    ),
  );
  const { at: recorded, ...more } = JSON.parse(stop?.journal ?? '') as { at: string };
  const { at: kept, ...others } = JSON.parse(stop?.beside ?? '') as { at: string };
  expect([others, Date.parse(kept)]).toEqual([more, Date.parse(recorded)]);
});

test('data in which they had another form is turned over once, to just what a rebuild gives', async () => {
  const before = await rows();
  await toOldForm();
  expect(await rows()).not.toEqual(before);
  expect(await catchUp(shop.database, await facts(), shop.clock.now())).toBe(false);
  expect(await rows()).toEqual(before);
});

test('labor of older data is summed by task once', async () => {
  const before = (await rows())['used_time'];
  await writeSql(shop.database, (sql) => sql.run('delete from "used_time"'));
  await catchUp(shop.database, await facts(), shop.clock.now());
  expect((await rows())['used_time']).toEqual(before);
  expect(before).toHaveLength(2);
});

test('what the journal has ever named is known of older data as well, and for good', async () => {
  await writeSql(shop.database, (sql) => sql.run('delete from "named_target"'));
  const has = (task: string) => readSql(shop.database, (sql) => hasLabor(sql, task));
  expect(await has(shop.strip)).toBe(false);
  await catchUp(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect([await has(shop.strip), await has('no such task')]).toEqual([true, false]);
});

test('data that knows nothing of the index is derived anew', async () => {
  const before = await rows();
  await toOldForm();
  await writeSql(shop.database, (sql) => sql.run('delete from "entry_index"'));
  expect(await catchUp(shop.database, await facts(), shop.clock.now())).toBe(true);
  expect(await rows()).toEqual(before);
});
