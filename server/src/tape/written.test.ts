import type { OrderJson } from '@wergon/contract/compare';
import type { EffectJson } from '@wergon/contract/loose-ends';
import type { WrittenJson } from '@wergon/contract/tape';
import type { Problem } from '@wergon/contract/wire';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const allow = async (writesDown: string) => {
  const { settings } = (await shop.get('/api/shop')).body as { settings: { work: object } };
  await shop.post('/api/shop/settings', { ...settings, work: { ...settings.work, writesDown } });
};
const write = async (more: object = {}) =>
  shop.post('/api/station/tasks', { technician: shop.ada, words: 'Loose fan', ...more }, shop.station);
const written = async (more: object = {}) => ((await write(more)).body as { target: string }).target;
const work = (target: string) =>
  shop.send(shop.scan('work-start', 0, shop.ada, [target]), shop.scan('work-stop', 60, shop.ada));
const waiting = async () =>
  ((await shop.get('/api/reconcile/written')).body as { written: WrittenJson[] }).written.map(
    ({ words, said, number, seconds, people }) => [words, said, number, seconds, people.join()],
  );
const secondsOf = async (order = shop.order) =>
  ((await shop.get(`/api/work/${order}`)).body as OrderJson).tasks.map(({ title, comparison }) => [
    title,
    comparison.actualSeconds,
  ]);
const tie = (task: string, target: string, more: object = {}, cookie = shop.desk) =>
  shop.post(`/api/reconcile/written/${task}/tie`, { target, ...more }, cookie);

test('without an order it gets one of its own, is worked on at once, and waits at the desk with its time', async () => {
  await allow('everybody');
  const task = await written();
  expect((await work(task)).status).toBe(200);
  expect(await waiting()).toEqual([['Loose fan', '', '1002', 3600, 'Ada']]);
});

test('into an order that is known it is its last task; one that nobody knows is said with it', async () => {
  await allow('everybody');
  await written({ order: '1001', words: 'Repaint' });
  await written({ order: 'Jones, the green one', words: 'Grease' });
  expect((await secondsOf()).map(([title]) => title)).toEqual(['Strip', 'Winding', 'Repaint']);
  expect((await waiting()).map(([words, said, number]) => [words, said, number]).sort()).toEqual([
    ['Grease', 'Jones, the green one', '1002'],
    ['Repaint', '1001', '1001'],
  ]);
});

test('a copy of an order with such a task has a task like any other: nothing of it waits', async () => {
  await allow('everybody');
  await written({ order: '1001', words: 'Repaint', once: 'c'.repeat(32) });
  const copy = await shop.post(`/api/work/${shop.order}/duplicate`, { number: 'COPY' });
  expect(copy.status).toBe(200);
  expect((await secondsOf((copy.body as { id: string }).id)).map(([title]) => title)).toContain('Repaint');
  expect(await waiting()).toHaveLength(1);
});

test('tied to its task all its time goes along, seen before, and it is gone; undone it waits again', async () => {
  await allow('everybody');
  const task = await written();
  await work(task);
  const effect = await shop.post(`/api/reconcile/written/${task}/preview`, { target: shop.strip });
  expect((effect.body as EffectJson).lanes.length).toBe(1);
  expect(await secondsOf()).toEqual([
    ['Strip', 0],
    ['Winding', 0],
  ]);
  const { entries } = (await tie(task, shop.strip)).body as { entries: string[] };
  expect([(await secondsOf())[0], await waiting()]).toEqual([['Strip', 3600], []]);
  await shop.post('/api/reconcile/undo', { entries });
  expect([(await secondsOf())[0], await waiting()]).toEqual([
    ['Strip', 0],
    [['Loose fan', '', '1002', 3600, 'Ada']],
  ]);
});

test('what nobody has worked on is tied too; what is scanned on a tied one waits again', async () => {
  await allow('everybody');
  const task = await written();
  expect((await tie(task, shop.winding)).body).toEqual({ entries: [] });
  expect(await waiting()).toEqual([]);
  await work(task);
  expect((await waiting()).map(([words, , , seconds]) => [words, seconds])).toEqual([['Loose fan', 3600]]);
});

test('kept as a task it is one of its order, and waits no more', async () => {
  await allow('everybody');
  const task = await written({ order: '1001' });
  expect((await shop.post(`/api/reconcile/written/${task}/keep`, {})).status).toBe(200);
  expect(await waiting()).toEqual([]);
  expect((await shop.post(`/api/reconcile/written/${task}/keep`, {})).status).toBe(404);
});

test('sent twice, also at once, it is there once', async () => {
  await allow('everybody');
  const once = '00000000-0000-4000-8000-00000000000b';
  const [a, b] = await Promise.all([written({ once }), written({ once })]);
  expect(a).toBe(b);
  expect(await waiting()).toHaveLength(1);
});

const codeOf = ({ body }: { body: unknown }) => (body as Problem).type.replace('urn:wergon:', '');
test.each<[who: string, code: string]>([
  ['nobody', 'station.writes_nothing_down'],
  ['leads', 'station.writes_nothing_down'],
])('where %s may, a technician is told so', async (who, code) => {
  await allow(who);
  expect(codeOf(await write())).toBe(code);
  expect(await waiting()).toEqual([]);
});

test.each<[more: object, field: string]>([
  [{ words: ' ' }, 'words'],
  [{ words: 'x'.repeat(121) }, 'words'],
  [{ technician: 'nobody' }, 'technician'],
])('%j is refused at %s', async (more, field) => {
  await allow('everybody');
  const answer = await write(more);
  expect([answer.status, (answer.body as Problem).errors?.[0]?.field]).toEqual([422, field]);
});

test('refused: an order on hold, a tie to nothing or to itself, a task of the desk, people who are not one’s own', async () => {
  await allow('everybody');
  await shop.post(`/api/work/${shop.order}/state`, { state: 'on-hold' });
  expect((await write({ order: '1001' })).status).toBe(422);
  await shop.post(`/api/work/${shop.order}/state`, { state: 'released' });
  const task = await written();
  await work(task);
  expect([(await tie(task, 'nothing')).status, (await tie(task, task)).status]).toEqual([422, 422]);
  expect((await tie(shop.strip, shop.winding)).status).toBe(404);
  const lead = await shop.addUser({ userName: 'lea', role: 'lead', technician: shop.bo });
  expect((await tie(task, shop.strip, {}, lead)).status).toBe(403);
  expect(await waiting()).toHaveLength(1);
});

test('sent again with other words it is refused, and what was written stands', async () => {
  await allow('everybody');
  const once = '00000000-0000-4000-8000-00000000000c';
  await write({ once });
  expect(codeOf(await write({ once, words: 'Something else' }))).toBe('record.sent_before');
  expect((await waiting()).map(([words]) => words)).toEqual(['Loose fan']);
});

test('hours that were put on it for a day long before go along, and leave nothing behind', async () => {
  await allow('everybody');
  const task = await written();
  const row = {
    entry: null,
    technician: shop.ada,
    target: task,
    workType: 'run',
    day: '2026-02-10',
    seconds: 600,
  };
  await shop.post('/api/reconcile/hours', { rows: [row] });
  await tie(task, shop.strip);
  expect([(await secondsOf())[0], await waiting()]).toEqual([['Strip', 600], []]);
});

test('onto a closed order nothing is tied, lengths no more than stretches', async () => {
  await allow('everybody');
  const task = await written();
  const row = {
    entry: null,
    technician: shop.ada,
    target: task,
    workType: 'run',
    day: '2026-03-02',
    seconds: 600,
  };
  await shop.post('/api/reconcile/hours', { rows: [row] });
  for (const state of ['finished', 'closed']) await shop.post(`/api/work/${shop.order}/state`, { state });
  expect(codeOf(await tie(task, shop.strip))).toBe('edit.closed_order');
  expect(await waiting()).toHaveLength(1);
});

test('one that came back when its tie was undone can be kept, and its order is alive again', async () => {
  await allow('everybody');
  const task = await written();
  await work(task);
  const { entries } = (await tie(task, shop.strip)).body as { entries: string[] };
  await shop.post('/api/reconcile/undo', { entries });
  expect((await shop.post(`/api/reconcile/written/${task}/keep`, {})).status).toBe(200);
  const { orders } = (await shop.get('/api/work')).body as {
    orders: { id: string; number: string; state: string }[];
  };
  const own = orders.find(({ number }) => number === '1002');
  expect([own?.state, await secondsOf(own?.id), await waiting()]).toEqual([
    'released',
    [['Loose fan', 3600]],
    [],
  ]);
  // Kept is a task like any other: it is tied no more.
  expect((await tie(task, shop.strip)).status).toBe(404);
});

test('a tie that is sent twice is one', async () => {
  await allow('everybody');
  const task = await written();
  await work(task);
  const { written: all } = (await shop.get('/api/reconcile/written')).body as { written: WrittenJson[] };
  const orderId = all[0]?.order ?? '';
  const once = '00000000-0000-4000-8000-00000000000e';
  const [a, b] = [await tie(task, shop.strip, { once }), await tie(task, shop.strip, { once })];
  expect([a.status, b.status, b.body]).toEqual([200, 200, a.body]);
  const { order } = (await shop.get(`/api/work/${orderId}`)).body as OrderJson;
  expect(
    order.changes.filter(({ changes }) => changes.some(({ after }) => after === 'tied to another task')),
  ).toHaveLength(1);
});
