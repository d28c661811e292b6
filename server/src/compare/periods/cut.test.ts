import type { z } from 'zod';
import type { CutSpec, cutSchema, keptCutsSchema } from '@wergon/contract/compare';
import { CUT_FIELDS } from '@wergon/core/compare';
import type { CutField } from '@wergon/core/compare';
import { rebuild } from '../../ledger/index.ts';
import { keepJobs } from './keepJobs.ts';
import { newId, openTestShop } from '../../app/testShop.fixture.ts';
import type { TestShop } from '../../app/testShop.fixture.ts';

type Cut = z.input<typeof cutSchema>;
let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  await shop.send(
    { ...shop.scan('work-start', 0, shop.ada, [shop.strip]), machine: 'Lathe' },
    { ...shop.scan('work-start', 30, shop.ada, [shop.strip]), workType: 'down', reason: 'No crane' },
    shop.scan('break-start', 40, shop.ada),
    shop.scan('break-end', 50, shop.ada),
    shop.scan('work-start', 60, shop.ada, [shop.strip, shop.winding]),
    shop.scan('work-stop', 90, shop.ada),
    // Still at it when the pages are asked for.
    { ...shop.scan('work-start', 60, shop.bo, [shop.winding]), machine: 'Lathe' },
  );
});
afterAll(() => shop.close());

const WEEK = 'from=2026-03-02&to=2026-03-08';
const ask = async (cut: Partial<CutSpec>, more: Record<string, unknown> = {}, cookie = shop.desk) => {
  const query = [
    `cut=${encodeURIComponent(JSON.stringify(cut))}`,
    ...Object.entries(more).map(
      ([name, value]) =>
        `${name}=${encodeURIComponent(typeof value === 'string' ? value : JSON.stringify(value))}`,
    ),
  ].join('&');
  return shop.get(`/api/compare/cut?${WEEK}&${query}`, cookie);
};
const told = async (...asked: Parameters<typeof ask>) => (await ask(...asked)).body as Cut;
const say = ({ groups }: Cut) =>
  groups.map(({ names, seconds }) => `${names.join('/') || '-'} ${seconds / 60}`);
const cents = (text: string) => Math.round(Number(text) * 100);

test.each<[by: CutField[], rows: string[]]>([
  [['person'], ['Ada 80', 'Bo 40']],
  [['task'], ['Strip 65', 'Winding 55']],
  [['machine'], ['Lathe 70', '- 50']],
  [['reason'], ['- 100', 'No crane 20']],
  [['kind', 'workType'], ['job 120']],
  [['day'], ['2026-03-03 120']],
  [['week'], ['2026-03-02 120']],
  [['month'], ['2026-03-01 120']],
])('by %j: %j', async (by, rows) => {
  expect(say(await told({ by })).slice(0, rows.length)).toEqual(rows);
});

test('time on a machine, and a reason, go on over a break and end with the next start', async () => {
  const { groups } = await told({ by: ['reason', 'person'] }, { path: ['No crane'] });
  expect(groups).toMatchObject([{ names: ['No crane', 'Ada'], seconds: 20 * 60 }]);
});

test.each(CUT_FIELDS.filter((field) => field !== 'person'))(
  'by %s and person the rows of each level add up to the whole, in seconds and cents',
  async (field) => {
    const cut = { by: [field, 'person'] as CutField[] };
    const [top, whole] = [await told(cut), await told(cut, { whole: 'yes' })];
    const all = await told({ by: ['person'] });
    const sums = (rows: readonly { seconds: number; measuredSeconds: number; cost: string }[]) => [
      rows.reduce((sum, { seconds }) => sum + seconds, 0),
      rows.reduce((sum, { measuredSeconds }) => sum + measuredSeconds, 0),
      rows.reduce((sum, { cost }) => sum + cents(cost), 0),
    ];
    for (const rows of [top.groups, whole.groups]) expect(sums(rows)).toEqual(sums([all.total]));
    for (const group of top.groups) {
      const opened = await told(cut, { path: group.keys });
      expect(sums(opened.groups)).toEqual(sums([group]));
      expect(sums([opened.total])).toEqual(sums([group]));
    }
  },
);

test('only what has the keys that are asked for', async () => {
  expect(say(await told({ by: ['task'], only: { machine: 'Lathe' } }))).toEqual(['Winding 40', 'Strip 30']);
  expect((await told({ by: ['task'], only: { machine: 'Mill' } })).groups).toEqual([]);
});

test('a shop that is derived anew says the same', async () => {
  const before = await told({ by: ['machine', 'reason', 'task'] }, { whole: 'yes' });
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect((await told({ by: ['machine', 'reason', 'task'] }, { whole: 'yes' })).groups).toEqual(before.groups);
});

test('who may not see rates is told standard cost', async () => {
  const mikko = await shop.addUser({ name: 'Mikko', userName: 'mikko', role: 'supervisor' });
  const [actual, standard] = [await told({ by: ['person'] }), await told({ by: ['person'] }, {}, mikko)];
  expect(standard.costs).toBe('standard');
  expect(standard.groups.map(({ cost }) => cost)).not.toEqual(actual.groups.map(({ cost }) => cost));
});

test.each<[cut: unknown, more: Record<string, unknown>, field: string]>([
  [{ by: [] }, {}, 'cut.by'],
  [{ by: ['person', 'person'] }, {}, 'cut.by'],
  [{ by: ['person', 'day', 'task', 'order'] }, {}, 'cut.by'],
  [{ by: ['shoe size'] }, {}, 'cut.by[0]'],
  [{ by: ['person'] }, { path: ['ada'] }, 'path'],
  [{ by: ['person'], only: { shoe: '44' } }, {}, 'cut.only'],
])('%j %j is refused, and %s named', async (cut, more, field) => {
  const { status, body } = await ask(cut as CutSpec, more);
  expect(status).toBe(422);
  expect((body as { errors: { field: string }[] }).errors[0]?.field).toContain(field);
});

describe('a cut that is kept', () => {
  const cut = { by: ['order', 'person'], only: {} };
  const keep = async (fields: object, cookie = shop.desk) =>
    shop.post('/api/compare/cuts', { name: 'Jobs', cut, ...fields }, cookie);
  const kept = async (cookie = shop.desk) =>
    ((await shop.get('/api/compare/cuts', cookie)).body as z.input<typeof keptCutsSchema>).cuts;

  test('is one’s own, changed and dropped, and others see it only where it is shared with a role of theirs', async () => {
    const lea = await shop.addUser({ name: 'Lea', userName: 'lea', role: 'supervisor' });
    const { id } = (await keep({})).body as { id: string };
    expect(await kept()).toMatchObject([{ name: 'Jobs', isOwn: true, role: null }]);
    expect(await kept(lea)).toEqual([]);
    await keep({ id, name: 'Jobs by person', role: 'supervisor' });
    expect(await kept(lea)).toMatchObject([{ id, name: 'Jobs by person', isOwn: false }]);
    expect((await keep({ id, name: 'Mine now' }, lea)).status).toBe(403);
    expect((await shop.post('/api/compare/cuts/drop', { id }, lea)).status).toBe(403);
    expect((await shop.post('/api/compare/cuts/drop', { id })).status).toBe(200);
    expect((await shop.post('/api/compare/cuts/drop', { id })).status).toBe(404);
    expect(await kept(lea)).toEqual([]);
  });

  test.each<[fields: object, field: string]>([
    [{ name: ' ' }, 'name'],
    [{ role: 'nobody' }, 'role'],
    [{ cut: { by: [] } }, 'cut.by'],
  ])('%j is refused, and %s named', async (fields, field) => {
    const { status, body } = await keep(fields);
    expect([status, body]).toMatchObject([422, { errors: [{ field }] }]);
  });
});

describe('what whole tasks were to take', () => {
  const tasksOf = ({ groups }: Cut) =>
    groups.map(({ names, tasks }) => [names.at(-1), tasks?.taskCount ?? null]);

  test.each<[cut: Partial<CutSpec>, told: readonly (readonly [string, number | null])[]]>([
    [
      { by: ['task'] },
      [
        ['Strip', 1],
        ['Winding', 1],
      ],
    ],
    [{ by: ['order', 'task'] }, [['1001 Rewind', 2]]],
    [{ by: ['customer', 'person'] }, [['Stock', 2]]],
    [
      { by: ['task'], only: { workCenter: '' } },
      [
        ['Strip', 1],
        ['Winding', 1],
      ],
    ],
    // What somebody did of a task, or on a day, is not all of it.
    [
      { by: ['person'] },
      [
        ['Ada', null],
        ['Bo', null],
      ],
    ],
    [
      { by: ['task'], only: { workType: 'run' } },
      [
        ['Winding', null],
        ['Strip', null],
      ],
    ],
  ])('by %j is told: %j', async (cut, expected) => {
    expect(tasksOf(await told(cut))).toEqual(expected);
  });

  test('they say what the order’s own page says, and pieces of its last task', async () => {
    await shop.send({ ...shop.scan('count', 95, shop.ada, [shop.strip]), good: 3, scrap: 1 });
    const [group] = (await told({ by: ['order'] })).groups;
    const why = (await shop.get(`/api/work/${shop.order}/why`)).body as {
      current: { difference: string };
      tasks: { wholeEstimateSeconds: number; wholeEstimatedCost: string }[];
    };
    expect(group?.tasks?.difference).toEqual(why.current);
    expect(group?.tasks?.estimatedSeconds).toBe(
      why.tasks.reduce((sum, { wholeEstimateSeconds }) => sum + wholeEstimateSeconds, 0),
    );
    expect(cents(group?.tasks?.estimatedCost ?? '')).toBe(
      why.tasks.reduce((sum, { wholeEstimatedCost }) => sum + cents(wholeEstimatedCost), 0),
    );
    expect(group?.tasks?.pieces).toEqual({ good: 3, scrap: 1 });
  });

  test('kept or derived they are the same, and what lies outside of the days makes a task no whole one', async () => {
    await shop.send(
      shop.scan('task-done', 96, shop.ada, [shop.strip]),
      shop.scan('task-done', 97, shop.bo, [shop.winding]),
      shop.scan('work-stop', 97, shop.bo),
    );
    const rows = async () => (await told({ by: ['order', 'task'] }, { whole: 'yes' })).groups;
    const derived = await rows();
    await keepJobs(shop.context, { wait: () => Promise.resolve() });
    expect(await rows()).toEqual(derived);
    expect(derived.map(({ tasks }) => tasks?.taskCount)).toEqual([1, 1]);
    await shop.correct({
      id: newId(),
      type: 'hours',
      day: '2026-02-27',
      seconds: 3600,
      technician: shop.ada,
      targets: [shop.strip],
    });
    expect(tasksOf(await told({ by: ['task'] }))).toEqual([
      ['Strip', null],
      ['Winding', 1],
    ]);
    expect(tasksOf(await told({ by: ['order'] }))).toEqual([['1001 Rewind', null]]);
  });

  test('work that runs on another day makes a task no whole one either', async () => {
    const order = (await shop.post('/api/work', shop.newOrder('1002'))).body as { id: string };
    await shop.post(`/api/work/${order.id}/state`, { state: 'released' });
    const { tasks } = (await shop.get(`/api/work/${order.id}`)).body as { tasks: { id: string }[] };
    const [first = ''] = tasks.map(({ id }) => id);
    await shop.correct({
      id: newId(),
      type: 'hours',
      day: '2026-03-02',
      seconds: 3600,
      technician: shop.ada,
      targets: [first],
    });
    const monday = async () =>
      (
        (
          await shop.get(
            `/api/compare/cut?from=2026-03-02&to=2026-03-02&cut=${encodeURIComponent(JSON.stringify({ by: ['task'] }))}`,
          )
        ).body as Cut
      ).groups.find(({ keys }) => keys[0] === first)?.tasks?.taskCount;
    expect(await monday()).toBe(1);
    await shop.send(shop.scan('work-start', 98, shop.bo, [first]));
    expect(await monday()).toBeUndefined();
  });
});
