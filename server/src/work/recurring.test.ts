import type { OrderJson, UnitHistoryJson } from '@wergon/contract/compare';
import type { RecurrenceJson } from '@wergon/contract/work';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// A fan that gets new bearings every six months, by a standard of two tasks of which one is optional.
let shop: TestShop;
let unit: string;
let job: string;
const made = async (path: string, body: object) => ((await shop.post(path, body)).body as { id: string }).id;
beforeEach(async () => {
  shop = await openTestShop();
  const { grades } = (await shop.get('/api/people')).body as { grades: { id: string }[] };
  unit = await made('/api/shop/units', {
    type: 'Fan',
    maker: 'Tarn',
    serialNumber: 'T-7',
    owner: 'Aker Dairy',
  });
  const step = (title: string) =>
    made('/api/standards/tasks', {
      id: null,
      version: null,
      task: { title, workCenter: '', grade: grades[0]?.id, runHours: '2' },
    });
  const steps = [
    { task: await step('Bearings'), isRequired: true },
    { task: await step('Repaint'), isRequired: false },
  ];
  job = await made('/api/standards/jobs', { id: null, version: null, job: { title: 'Fan service', steps } });
});
afterEach(() => shop.close());

const fields = (more: object = {}) => ({
  unit,
  job,
  kind: 'months',
  every: 6,
  lastDay: '2025-10-01',
  ...more,
});
const add = (more: object = {}) => made('/api/recurring', fields(more));
const list = async (query = '') =>
  (await shop.get(`/api/recurring${query}`)).body as {
    recurring: RecurrenceJson[];
    found: number;
    total: number;
    soon: number;
  };
const first = async () => (await list()).recurring[0];
/** On the wire days are text. */
const dueOf = (row: RecurrenceJson | undefined): unknown => row?.due.day;
const make = (id: string, once?: string) => shop.post(`/api/recurring/${id}/order`, { once });
const read = (day: string, hours: number) => shop.post(`/api/units/${unit}/readings`, { day, hours });

test('it comes due so many months after it was done; its order is made in one press, from the standard', async () => {
  const id = await add();
  expect([dueOf(await first()), (await list()).soon]).toEqual(['2026-04-01', 1]);
  const { body } = await make(id);
  const order = (await shop.get(`/api/work/${(body as { id: string }).id}`)).body as OrderJson;
  expect(order.order).toMatchObject({
    title: 'Fan service',
    customer: 'Aker Dairy',
    state: 'draft',
    unit,
    due: (await first())?.due.day,
  });
  expect(order.tasks.map(({ title }) => title)).toEqual(['Bearings']);
  expect(await first()).toMatchObject({ order: { id: order.order.id, state: 'draft' } });
  // Until then it came due soon; with its order it does so no more.
  expect((await list()).soon).toBe(0);
});

test('pressed twice there is one order; while it is open there is no other', async () => {
  const id = await add();
  const once = 'b'.repeat(32);
  const [one, two] = [await make(id, once), await make(id, once)];
  expect(two.body).toEqual(one.body);
  expect(await make(id)).toMatchObject({ status: 409 });
});

test('when its order is done it comes due anew from that day', async () => {
  const id = await add();
  const order = ((await make(id)).body as { id: string }).id;
  for (const state of ['released', 'finished']) await shop.post(`/api/work/${order}/state`, { state });
  const row = await first();
  expect(row?.order).toBeNull();
  // The shop’s clock stands on 3 March 2026.
  expect([row?.lastDay, dueOf(row)]).toEqual(['2026-03-03', '2026-09-03']);
  expect((await make(id)).status).toBe(200);
  expect((await first())?.lastDay).toBe('2026-03-03');
});

test('by running hours it comes due when the meter says so', async () => {
  await add({ kind: 'hours', every: 500, lastDay: '2026-01-01' });
  expect((await first())?.due).toMatchObject({ day: null, atHours: null });
  await read('2026-01-01', 1000);
  await read('2026-01-11', 1100);
  expect((await first())?.due).toMatchObject({ atHours: 1500, isReckoned: true });
  expect(dueOf(await first())).toBe('2026-02-20');
  await read('2026-02-10', 1600);
  expect([dueOf(await first()), (await first())?.due.isReckoned]).toEqual(['2026-02-10', false]);
});

test('what is switched off stands last and makes no order; a standard that is off makes none either', async () => {
  const id = await add();
  await add({ every: 24 });
  await shop.post(`/api/recurring/${id}`, { ...fields(), isOff: true });
  expect((await list()).recurring.map(({ isOff }) => isOff)).toEqual([false, true]);
  expect((await make(id)).status).toBe(409);
  const { jobs } = (await shop.get('/api/standards')).body as { jobs: { id: string; steps: object[] }[] };
  const steps = jobs.find((each) => each.id === job)?.steps;
  await shop.post('/api/standards/jobs', {
    id: job,
    version: 1,
    isOff: true,
    job: { title: 'Fan service', steps },
  });
  const other = (await list()).recurring[0]?.id ?? '';
  expect((await make(other)).body).toMatchObject({ errors: [{ message: 'this standard is switched off' }] });
});

test('it is found by its work, its unit and its owner; of one unit alone it is asked for by that', async () => {
  await add();
  const count = async (query: string) => (await list(query)).found;
  expect([await count('?search=tarn'), await count('?search=dairy'), await count('?search=pump')]).toEqual([
    1, 1, 0,
  ]);
  expect([await count(`?unit=${unit}`), await count('?unit=none'), await count('?skip=5')]).toEqual([
    1, 0, 1,
  ]);
});

test('what comes due in no year that can be written stands in the list all the same, and its order has no day', async () => {
  const id = await add({ every: 100_000 });
  expect((await list()).recurring.map((row) => row.due.day)).toEqual([null]);
  const { status, body } = await make(id);
  expect(status).toBe(200);
  const order = (await shop.get(`/api/work/${(body as { id: string }).id}`)).body as OrderJson;
  expect(order.order.due).toBeNull();
});

test.each([
  [{ unit: 'none' }, 'unit'],
  [{ job: 'none' }, 'job'],
  [{ every: 0 }, 'every'],
  [{ every: 1.5 }, 'every'],
  [{ kind: 'weeks' }, 'kind'],
  [{ lastDay: 'yesterday' }, 'lastDay'],
])('%j is refused by its field, and nothing comes back', async (more, field) => {
  const { status, body } = await shop.post('/api/recurring', fields(more));
  expect([status, (body as { errors: { field: string }[] }).errors[0]?.field]).toEqual([422, field]);
  expect((await list()).total).toBe(0);
});

test.each([
  [{ day: '2030-01-01', hours: 1 }, 'day'],
  [{ day: '2026-01-01', hours: -1 }, 'hours'],
  [{ day: '2026-01-01', hours: null }, 'hours'],
])('a reading of %j is refused by its field', async (reading, field) => {
  const { body } = await shop.post(`/api/units/${unit}/readings`, reading);
  expect((body as { errors: { field: string }[] }).errors[0]?.field).toBe(field);
  expect((await shop.post('/api/units/none/readings', { day: '2026-01-01', hours: 1 })).status).toBe(404);
});

test('a unit shows its orders, its readings, and what each year took', async () => {
  const order = ((await make(await add())).body as { id: string }).id;
  await shop.post(`/api/work/${order}/state`, { state: 'released' });
  const [task] = ((await shop.get(`/api/work/${order}`)).body as OrderJson).tasks;
  await shop.send(
    shop.scan('work-start', 0, shop.ada, [task?.id ?? '']),
    shop.scan('work-stop', 90, shop.ada),
  );
  await read('2026-03-01', 1200);
  const history = async () => (await shop.get(`/api/units/${unit}`)).body as UnitHistoryJson;
  const { years, orders, readings } = await history();
  expect(years).toMatchObject([{ year: 2026, orders: 1, usedSeconds: 5400 }]);
  expect(orders.map(({ id }) => id)).toEqual([order]);
  expect(readings).toMatchObject([{ hours: 1200 }]);
  await shop.post(`/api/units/${unit}/readings/${readings[0]?.id ?? ''}/remove`, {});
  expect((await history()).readings).toEqual([]);
  expect((await shop.get('/api/units/none')).status).toBe(404);
});
