import type { FloorJson } from '@wergon/contract/floor';
import { floorSchema, readBoard, readLanes } from '@wergon/contract/floor';
import { accountedShare, chargedOf, drawLane } from '@wergon/core/floor';
import type { TechnicianId } from '@wergon/core/people';
import { SEVEN, at, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// It is 8:40 on Tuesday. Ada is on Winding since 8:00, after an hour of Strip; Bo was never there.
let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    shop.scan('work-start', 60, shop.ada, [shop.winding]),
  );
});
afterEach(() => shop.close());

const read = async <T>(path: string) => (await shop.get(path)).body as T;
const floor = async (day = '2026-03-03') => floorSchema.parse(await read(`/api/floor?day=${day}`));
const rail = async () => (await read<{ looseEnds: number; peopleIn: number }>('/api/rail')) as object;
const lineOf = (json: FloorJson, who: string) => json.lanes.find(({ technician }) => technician === who);

test('the floor is read as it was written: lanes, open time and the accounted share', async () => {
  const json = await floor();
  const board = readBoard(json);
  const now = shop.clock.now();
  const day = board.facts.zone.dayAt(now);
  const lanes = readLanes(json);
  const ada = board.technicians.get(shop.ada as TechnicianId);
  const own = lanes.get(shop.ada as TechnicianId);
  if (!ada || !own) throw new Error('no lane');
  const lane = drawLane(board, ada, own, day, now);
  expect(lane.blocks.map(({ kind, from, to }) => [kind, (from - SEVEN) / 60, (to - SEVEN) / 60])).toEqual([
    ['work', 0, 60],
    ['work', 60, 100],
  ]);
  expect([lane.presently, chargedOf(lane), accountedShare(board, lanes, day, now)]).toEqual([
    'work',
    6000,
    1,
  ]);
});

test('the machine and the reason of what runs, and the pieces of a task, stand with the floor and its changes', async () => {
  const made = await shop.post('/api/shop/resources', {
    kind: 'machine',
    name: 'Lathe',
    workCenter: 'Machining',
  });
  const machine = (made.body as { id: string }).id;
  const before = await floor();
  expect([lineOf(before, shop.ada), before.taskPieces]).toMatchObject([{ machine: null, reason: null }, []]);
  await shop.send(
    {
      ...shop.scan('work-start', 90, shop.ada, [shop.strip]),
      workType: 'rework',
      reason: 'Out of size',
      machine,
    },
    { ...shop.scan('count', 91, shop.ada, [shop.strip]), good: 3, scrap: 1 },
  );
  const told = { machine: 'Lathe', reason: 'Out of size' };
  const pieces = [{ task: shop.strip, good: 3, scrap: 1 }];
  const after = await floor();
  expect([lineOf(after, shop.ada), after.taskPieces]).toMatchObject([told, pieces]);
  const changes = await read<FloorJson>(`/api/floor/changes?day=2026-03-03&after=${before.seq}`);
  expect([lineOf(changes, shop.ada), changes.taskPieces]).toMatchObject([told, pieces]);
});

test('only what was scanned of the day stands on it; hours written down stand apart', async () => {
  await shop.correct({
    id: newId(),
    type: 'hours',
    technician: shop.bo,
    targets: [shop.strip],
    day: '2026-03-02',
    seconds: 1800,
  });
  expect(lineOf(await floor(), shop.ada)?.stints).toHaveLength(1);
  expect(lineOf(await floor('2026-03-02'), shop.ada)).toMatchObject({ stints: [], enteredSeconds: 0 });
  expect(lineOf(await floor('2026-03-02'), shop.bo)).toMatchObject({ stints: [], enteredSeconds: 1800 });
});

test('a closed order leaves the board, but for what somebody is still on or was on that day', async () => {
  const other = (await shop.post('/api/work', shop.newOrder('1002'))).body as { id: string };
  const numbers = async (day?: string) => (await floor(day)).orders.map(({ number }) => number).sort();
  expect(await numbers()).toEqual(['1001', '1002']);
  const move = async (order: string, state: string) =>
    (await shop.post(`/api/work/${order}/state`, { state })).status;
  for (const state of ['released', 'finished', 'closed']) expect(await move(other.id, state)).toBe(200);
  expect(await numbers()).toEqual(['1001']);
  for (const state of ['finished', 'closed']) expect(await move(shop.order, state)).toBe(200);
  expect(await numbers()).toEqual(['1001']);
  await shop.send(shop.scan('work-stop', 95, shop.ada));
  expect([await numbers('2026-03-02'), await numbers()]).toEqual([[], ['1001']]);
  const { tasks } = await floor();
  expect(tasks.find(({ id }) => id === shop.winding)).toMatchObject({ title: 'Winding' });
});

test('a stint that a rule has cut says so, and nothing of the wire says what it cost', async () => {
  shop.clock.set((SEVEN + 30 * 3600) * 1000);
  const sol = await shop.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, '');
  expect(sol.status).toBe(200);
  await shop.send(shop.scan('shift-in', 26 * 60, shop.ada));
  const desk = ((sol.headers as Record<string, unknown>)['set-cookie'] as string[])[0]?.split(';')[0] ?? '';
  const json = (await shop.get('/api/floor?day=2026-03-03', desk)).body as FloorJson;
  expect(lineOf(json, shop.ada)?.stints.map(({ capped }) => capped ?? false)).toEqual([false, true]);
  const fields = JSON.stringify(json).match(/"[a-zA-Z]+":/g) ?? [];
  expect(fields.filter((field) => /cost|rate|wage/i.test(field))).toEqual([]);
});

test('the latest scans are newest first, with who, what and where; what the desk does is not among them', async () => {
  // More than one look takes in, as when an office adds the scans of a day.
  for (let i = 0; i < 60; i += 1)
    await shop.correct({ ...shop.scan('break-start', -60 + i, shop.bo), at: at(-60 + i) });
  await shop.correct({
    id: newId(),
    type: 'void',
    target: ((await floor()).technicians[0]?.state.doing as { entry: string }).entry,
    by: 'Sol',
    why: 'a slip of the hand',
  });
  const { latest } = await read<{ latest: { type: string; name: string; about: string; station: string }[] }>(
    '/api/floor/latest',
  );
  expect(latest.map(({ type, name, about, station }) => [type, name, about, station])).toEqual([
    ['work-start', 'Ada', '1001 Winding', 'Winding 1'],
    ['work-start', 'Ada', '1001 Strip', 'Winding 1'],
    ['shift-in', 'Ada', '', 'Winding 1'],
  ]);
});

test('the count of loose ends may stand for a moment while stations write, and never after the desk has acted', async () => {
  expect(await rail()).toMatchObject({ peopleIn: 1, looseEnds: 0 });
  await shop.send(shop.scan('work-stop', 70, shop.bo));
  expect(await rail()).toMatchObject({ looseEnds: 0 });
  shop.clock.set((SEVEN + 100 * 60 + 30) * 1000);
  expect(await rail()).toMatchObject({ looseEnds: 1 });
  await shop.correct({ ...shop.scan('work-stop', 80, shop.bo), at: at(80) });
  expect(await rail()).toMatchObject({ looseEnds: 2 });
});
