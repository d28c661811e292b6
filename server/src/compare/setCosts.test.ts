import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { rebuild } from '../ledger/index.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
  await shop.send(shop.scan('work-start', 0, shop.ada, [shop.winding]), shop.scan('work-stop', 60, shop.ada));
});
afterEach(() => shop.close());

type Order = {
  order: { comparison: { actualCost: string } };
  tasks: {
    lines: { cost: string; day: string; set: { cost: string; byRate: string; by: string } | null }[];
  }[];
};
const order = async (cookie = shop.desk) => (await shop.get(`/api/work/${shop.order}`, cookie)).body as Order;
const line = async (cookie?: string) => (await order(cookie)).tasks.flatMap(({ lines }) => lines)[0];
const key = async () => ({
  technician: shop.ada,
  target: shop.winding,
  workType: 'run',
  day: (await line())?.day,
});
const set = async (more: object = {}, cookie = shop.desk) =>
  shop.post(
    '/api/ledger/costs',
    { ...(await key()), seconds: 3600, amount: '80.00', reason: 'agreed', ...more },
    cookie,
  );
const looseEnds = async () => {
  const { looseEnds: all } = (await shop.get('/api/reconcile')).body as { looseEnds: { kind: string }[] };
  return all.map(({ kind }) => kind).filter((kind) => kind === 'cost-changed');
};

test('a cost set by hand counts everywhere, says who and why, and is by its rate again when taken back', async () => {
  expect((await line())?.cost).toBe('36.00');
  expect((await set()).body).toBe(null);
  expect(await order()).toMatchObject({ order: { comparison: { actualCost: '80.00' } } });
  expect(await line()).toMatchObject({
    cost: '80.00',
    set: { cost: '80.00', byRate: '36.00', by: 'Sol', reason: 'agreed' },
  });
  const now = shop.clock.now();
  await rebuild(shop.database, await shop.context.facts.get(), now);
  expect((await line())?.cost).toBe('80.00');

  expect((await shop.post('/api/ledger/costs/reset', await key())).status).toBe(200);
  expect(await line()).toMatchObject({ cost: '36.00', set: null });
  // Once more leaves nothing to take back.
  expect((await shop.post('/api/ledger/costs/reset', await key())).status).toBe(200);
});

test('with other time it holds no longer, and that is a loose end', async () => {
  await set();
  await shop.send(
    shop.scan('work-start', 70, shop.ada, [shop.winding]),
    shop.scan('work-stop', 80, shop.ada),
  );
  expect((await line())?.cost).toBe('42.00');
  expect(await looseEnds()).toEqual(['cost-changed']);
});

test.each<[why: string, change: object, status: number]>([
  ['other time than was seen', { seconds: 3599 }, 409],
  ['a day without such a line', { day: '2020-01-01' }, 409],
  ['a target that is none', { target: 'nothing' }, 409],
  ['an amount that is none', { amount: 'much' }, 422],
  ['an amount below nothing', { amount: '-1.00' }, 422],
  ['a third of a cent', { amount: '1.003' }, 422],
  ['more than any line costs', { amount: '10000001.00' }, 422],
  ['no reason', { reason: ' ' }, 422],
])('%s is refused and changes nothing', async (_why, change, status) => {
  expect((await set(change)).status).toBe(status);
  expect((await line())?.cost).toBe('36.00');
});

test('work that goes on cannot be set', async () => {
  await shop.send(shop.scan('work-start', 70, shop.ada, [shop.winding]));
  shop.clock.set(shop.clock.nowMs() + 60 * 60_000);
  expect((await set()).status).toBe(409);
});

test('who may not see rates sets nothing and is shown nothing of it', async () => {
  const mikko = await shop.addUser({ name: 'Mikko', userName: 'mikko', role: 'supervisor' });
  expect((await set({}, mikko)).status).toBe(403);
  await set();
  expect(await line(mikko)).toMatchObject({ cost: '50.00', set: null });
});
