import type { RulesEffect, RulesJson } from '@wergon/contract/ledger';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import type { Policy } from '@wergon/core/ledger';
import { SEVEN, cookieOf, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { readSql, writeSql } from '../db/sql.ts';
import { countDue, markDue } from './dueDerivation.ts';
import { PROJECTIONS, catchUp, rebuild } from './rebuild.ts';

const DAY_MS = 86_400_000;
const TODAY = '2026-03-03';

let shop: TestShop;
let desk: string;
let short: string;
let long: string;
beforeEach(async () => {
  shop = await openTestShop();
  desk = shop.desk;
  const order = shop.newOrder('2001');
  const task = order.tasks[0];
  const added = await shop.post('/api/work', {
    ...order,
    tasks: [
      { ...task, title: 'Short', runHours: '1' },
      { ...task, title: 'Long', runHours: '3' },
    ],
  });
  const { id } = added.body as { id: string };
  await shop.post(`/api/work/${id}/state`, { state: 'released' });
  const { tasks } = (await shop.get(`/api/work/${id}`)).body as { tasks: { id: string }[] };
  [short = '', long = ''] = tasks.map((each) => each.id);
  // Two tasks at once, whose estimates differ, and a break of half an hour.
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 1, shop.ada, [short, long]),
    shop.scan('break-start', 41, shop.ada),
    shop.scan('break-end', 71, shop.ada),
    shop.scan('work-stop', 91, shop.ada),
    shop.scan('shift-in', 0, shop.bo),
  );
});
afterEach(() => shop.close());

/** The next morning, with somebody signed in anew. */
async function sleep() {
  shop.clock.set(SEVEN * 1000 + DAY_MS);
  desk = cookieOf(await shop.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
}
const rules = (more: Partial<Policy>) => ({ ...DEFAULT_POLICY, ...more });
const told = async () => (await shop.get('/api/rules', desk)).body as RulesJson;
const effectOf = async (more: Partial<Policy> | null, from = TODAY, as = desk) =>
  (await shop.post('/api/rules/effect', { from, rules: more && rules(more) }, as)).body as RulesEffect;
const save = (more: Partial<Policy> | null, from = TODAY, isPastAgreed = false) =>
  shop.post('/api/rules', { from, rules: more && rules(more), isPastAgreed }, desk);
/** Once everybody's days are derived anew. */
async function settled() {
  while ((await told()).pending > 0) await new Promise((wait) => setTimeout(wait, 5));
}
const secondsOn = (target: string) =>
  readSql(
    shop.database,
    (sql) =>
      sql.all<{ n: number }>(
        'select coalesce(sum("seconds"), 0) as "n" from "used_time" where "target" = ?',
        [target],
      )[0]?.n,
  );
const projections = () =>
  readSql(shop.database, (sql) =>
    PROJECTIONS.map((table) =>
      sql
        .all(`select * from "${table}"`)
        .map((row) => JSON.stringify(row))
        .sort(),
    ),
  );

test('a shop begins with the rules that hold where nothing was said', async () => {
  expect(await told()).toEqual({
    rules: [{ from: null, rules: DEFAULT_POLICY, by: null, at: null }],
    pending: 0,
  });
});

test('rules hold from their day on, say who set them, and are taken out again', async () => {
  expect((await save({ gapMinutes: 15 })).status).toBe(200);
  expect((await told()).rules[1]).toMatchObject({ from: TODAY, rules: { gapMinutes: 15 }, by: 'Sol' });
  expect((await save({ gapMinutes: 20 })).status).toBe(200);
  expect((await told()).rules.map(({ rules: each }) => each.gapMinutes)).toEqual([5, 20]);
  expect((await save(null)).status).toBe(200);
  expect((await told()).rules.map(({ rules: each }) => each.gapMinutes)).toEqual([5]);
  expect((await save(null)).status).toBe(404);
});

test('what rules would do to days gone by is told, person by person and order by order, and adds up', async () => {
  await sleep();
  const effect = await effectOf({ split: 'equal', maxBreakMinutes: 20 });
  expect(effect).toMatchObject({ isPast: true, closedDays: 0 });
  expect(effect.people.map(({ name, days }) => [name, days])).toEqual([['Ada', 1]]);
  // Both tasks are of one order: its time stays, and so does its cost.
  expect(effect.people[0]?.charged).toEqual({ before: 3600, after: 3600 });
  expect(effect.orders).toEqual([]);
  expect(effect.looseEnds).toEqual([{ kind: 'long-break', count: { before: 0, after: 1 } }]);
  const shorter = await effectOf({ maxStintHours: 1, maxShiftHours: 1 });
  expect(shorter.people.map(({ name }) => name)).toEqual(['Ada', 'Bo']);
  const [order] = shorter.orders;
  const ada = shorter.people.find(({ name }) => name === 'Ada');
  expect(order?.seconds).toEqual(ada?.charged);
  expect(order?.cost).toEqual({ before: '36.00', after: expect.stringMatching(/^\d+\.\d\d$/) });
});

test('cost is told to whoever may see rates, and to nobody else', async () => {
  const planner = await shop.addUser({ userName: 'pia', role: 'supervisor' });
  await sleep();
  const as = cookieOf(await shop.post('/api/sign-in', { userName: 'pia', password: 'long enough' }, ''));
  expect(planner).not.toBe('');
  const { orders } = await effectOf({ maxStintHours: 1, maxShiftHours: 1 }, TODAY, as);
  expect(orders.map(({ cost }) => cost)).toEqual([null]);
});

test('days gone by are changed only once that was agreed to; then they are what a rebuild gives', async () => {
  await sleep();
  expect([await secondsOn(short), await secondsOn(long)]).toEqual([900, 2700]);
  expect(await save({ split: 'equal' })).toMatchObject({
    status: 409,
    body: { type: 'urn:wergon:rules.changes_past' },
  });
  expect(await secondsOn(short)).toBe(900);
  expect((await save({ split: 'equal' }, TODAY, true)).status).toBe(200);
  await settled();
  expect([await secondsOn(short), await secondsOn(long)]).toEqual([1800, 1800]);
  const live = await projections();
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await projections()).toEqual(live);
  // And taken out again, they are what they were.
  expect((await save(null, TODAY, true)).status).toBe(200);
  await settled();
  expect(await secondsOn(short)).toBe(900);
});

test('scans that arrive while days are derived anew are in them', async () => {
  await sleep();
  const [saved, sent] = await Promise.all([
    save({ split: 'equal' }, TODAY, true),
    shop.send(shop.scan('work-start', 24 * 60 - 1, shop.bo, [shop.strip, shop.winding])),
  ]);
  expect([saved.status, sent.status]).toEqual([200, 200]);
  await settled();
  const live = await projections();
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await projections()).toEqual(live);
});

test('a server that was stopped in between goes on where it was', async () => {
  await save({ split: 'equal' });
  await settled();
  await writeSql(shop.database, (sql) =>
    markDue(sql, [shop.ada as never, shop.bo as never], 20_515 as never),
  );
  expect((await told()).pending).toBe(2);
  await catchUp(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await readSql(shop.database, countDue)).toBe(0);
});

test('rules of an older version lack what came later, and are read with what holds by itself', async () => {
  await writeSql(shop.database, (sql) =>
    sql.run(`update "shop" set "policy" = '[{"from":0,"value":{"split":"equal","gapMinutes":7}}]'`),
  );
  shop.context.facts.forget('shop');
  expect((await told()).rules[0]?.rules).toEqual({ ...DEFAULT_POLICY, split: 'equal', gapMinutes: 7 });
});

test.each([
  ['rules.gapMinutes', { gapMinutes: -1 }, TODAY],
  ['rules.gapMinutes', { gapMinutes: 1.5 }, TODAY],
  ['rules.maxStintHours', { maxStintHours: 0 }, TODAY],
  ['rules.maxShiftHours', { maxShiftHours: 49 }, TODAY],
  ['rules.warnAt', { warnAt: 101 }, TODAY],
  ['rules.split', { split: 'by weight' as never }, TODAY],
  ['from', {}, '2026-02-30'],
  ['from', {}, '2027-03-05'],
])(
  'a bad %s is named, changes nothing, and is refused by the preview too (%j, %s)',
  async (field, more, from) => {
    for (const path of ['/api/rules', '/api/rules/effect']) {
      const refused = await shop.post(path, { from, rules: rules(more) }, desk);
      expect([
        refused.status,
        (refused.body as { errors: { field: string }[] }).errors.map((each) => each.field),
      ]).toEqual([422, [field]]);
    }
    expect((await told()).rules).toHaveLength(1);
  },
);
