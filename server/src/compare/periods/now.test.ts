import type { z } from 'zod';
import type {
  comparedMachinesSchema,
  comparedPeopleSchema,
  comparedWeekSchema,
  nearSchema,
} from '@wergon/contract/compare';
import { openTestShop } from '../../app/testShop.fixture.ts';
import type { TestShop } from '../../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
});
afterAll(() => shop.close());
const DAY = 'from=2026-03-03&to=2026-03-03';
/** So many minutes after the shop opened Ada begins, and the clock goes on from there. */
const BEGINS = 90;

/** Minutes that stripping is estimated at. */
const estimateOf = async () => {
  const { body } = await shop.get(`/api/work/${shop.order}`);
  const [strip] = (body as { tasks: { comparison: { estimatedSeconds: number } }[] }).tasks;
  return (strip?.comparison.estimatedSeconds ?? 0) / 60;
};

describe('machines', () => {
  const machines = async () =>
    (await shop.get(`/api/compare/machines?${DAY}`)).body as z.input<typeof comparedMachinesSchema>;

  test('are used by whoever stands at them once, and down only while nobody uses them', async () => {
    const scan = (who: string, minutes: number, more: object = {}) => ({
      ...shop.scan('work-start', minutes, who, [shop.winding]),
      machine: 'Lathe',
      ...more,
    });
    await shop.send(
      scan(shop.ada, 0),
      scan(shop.bo, 10, { workType: 'setup' }),
      scan(shop.ada, 20, { workType: 'down', reason: 'No crane' }),
      scan(shop.bo, 30, { workType: 'down', reason: 'No crane' }),
      shop.scan('work-stop', 50, shop.ada),
      shop.scan('work-stop', 50, shop.bo),
    );
    const [lathe] = (await machines()).machines;
    expect(lathe).toMatchObject({
      name: 'Lathe',
      resource: null,
      usedSeconds: 30 * 60,
      downSeconds: 20 * 60,
      byWorkType: { run: 20 * 60, setup: 10 * 60 },
      reasons: [{ reason: 'No crane', seconds: 50 * 60 }],
      availableSeconds: null,
    });
    expect(lathe?.spans.map(({ workType }) => workType)).toEqual(['run', 'setup', 'down']);
  });

  test('have hours for each weekday, from a day on', async () => {
    const { id } = (
      await shop.post('/api/shop/resources', { kind: 'machine', name: 'Lathe', workCenter: 'Winding' })
    ).body as { id: string };
    const save = (fields: object) => shop.post(`/api/compare/capacity/${id}`, fields);
    const week = [8, 8, 8, 8, 8, 0, 0].map((hours) => hours * 3600);
    expect((await save({ from: '2026-03-01', seconds: week })).status).toBe(200);
    expect((await machines()).machines[0]).toMatchObject({ availableSeconds: 8 * 3600, hours: week });
    for (const [fields, field] of [
      [{ from: '2026-03-01', seconds: [1] }, 'seconds'],
      [{ from: 'today', seconds: week }, 'from'],
      [{ from: '2026-03-01', seconds: week.map((seconds, i) => (i === 0 ? -1 : seconds)) }, 'seconds[0]'],
    ] as const) {
      const { status, body } = await save(fields);
      expect([status, body]).toMatchObject([422, { errors: [{ field }] }]);
    }
    expect(
      (await shop.post('/api/compare/capacity/none', { from: '2026-03-01', seconds: week })).status,
    ).toBe(404);
    const planner = await shop.addUser({ userName: 'paula', role: 'planner' });
    expect(
      (await shop.post(`/api/compare/capacity/${id}`, { from: '2026-03-01', seconds: week }, planner)).status,
    ).toBe(403);
  });
});

describe('tasks near their estimate', () => {
  const near = async () => (await shop.get('/api/compare/near')).body as z.input<typeof nearSchema>;
  test('are those that have used the shop’s share of it, then those past it, with who is on them and since when', async () => {
    expect((await near()).tasks).toEqual([]);
    const minutes = await estimateOf();
    const began = Date.parse(shop.scan('work-start', BEGINS, shop.ada).at);
    await shop.send(shop.scan('work-start', BEGINS, shop.ada, [shop.strip]));
    shop.clock.set(began + minutes * 0.9 * 60_000);
    const [low] = (await near()).tasks;
    expect(low).toMatchObject({ title: 'Strip', isPast: false, peopleOn: ['Ada'], orderNumber: '1001' });
    shop.clock.set(began + (minutes + 30) * 60_000);
    const [past] = (await near()).tasks;
    expect(past).toMatchObject({ isPast: true, peopleOn: ['Ada'] });
    const minutesUntil = (text: string | null | undefined) => (Date.parse(text ?? '') - began) / 60_000;
    expect([low, past].map((each) => minutesUntil(each?.since))).toEqual([minutes * 0.8, minutes]);
    expect(past?.usedSeconds).toBe((minutes + 30) * 60);
    expect((await shop.get('/api/rail')).body).toMatchObject({ nearTasks: 1 });
  });

  test('are none of them once they are done', async () => {
    await shop.send(shop.scan('task-done', BEGINS + (await estimateOf()) + 30, shop.ada, [shop.strip]));
    expect((await near()).tasks).toEqual([]);
  });
});

test('people earn the estimate of what was finished, and productivity is jobs against attendance', async () => {
  const told = (await shop.get(`/api/compare/people?${DAY}`)).body as z.input<typeof comparedPeopleSchema>;
  const ada = told.people.find(({ name }) => name === 'Ada');
  expect(told.shop).toMatchObject({ taskCount: 1 });
  expect(ada?.earnedSeconds).toBe(told.shop.estimatedSeconds);
  expect(ada?.ownSeconds).toBe(told.shop.includedSeconds);
  expect(told.tasks).toEqual([]);
  const own = (await shop.get(`/api/compare/people?${DAY}&technician=${shop.ada}`)).body as typeof told;
  expect(own.people).toEqual([ada]);
  expect(own.tasks).toMatchObject([{ title: 'Strip', orderNumber: '1001', ownSeconds: ada?.ownSeconds }]);
  const before = (await shop.get('/api/compare/people?from=2026-03-01&to=2026-03-02')).body as typeof told;
  expect(before.shop.taskCount).toBe(0);
});

test('the week tells jobs by the day they were finished, and how well tasks of each week held their estimates', async () => {
  const week = async () => (await shop.get('/api/compare/week')).body as z.input<typeof comparedWeekSchema>;
  const before = await week();
  expect(before.days).toHaveLength(7);
  expect(before.days[0]?.day).toBe('2026-03-02');
  expect(before.days.map(({ jobCount }) => jobCount)).toEqual([0, 0, 0, 0, 0, 0, 0]);
  const people = (await shop.get(`/api/compare/people?${DAY}`)).body as z.input<typeof comparedPeopleSchema>;
  const { taskCount, estimatedSeconds, includedSeconds } = people.shop;
  expect(before.weeks.map(({ firstDay }) => firstDay)).toEqual([
    '2026-02-09',
    '2026-02-16',
    '2026-02-23',
    '2026-03-02',
  ]);
  expect(before.weeks.at(-1)).toMatchObject({ taskCount, estimatedSeconds, includedSeconds });
  expect(before.weeks[0]).toMatchObject({ taskCount: 0 });

  const later = BEGINS + (await estimateOf()) + 40;
  shop.clock.set(Date.parse(shop.scan('task-done', later + 1, shop.bo).at));
  await shop.send(shop.scan('task-done', later, shop.bo, [shop.winding]));
  const jobs = (
    (await shop.get(`/api/compare/jobs?${DAY}`)).body as {
      jobs: { current: { differenceSeconds: number } }[];
    }
  ).jobs;
  expect(jobs).toHaveLength(1);
  expect((await week()).days[1]).toEqual({
    day: '2026-03-03',
    jobCount: 1,
    differenceSeconds: jobs[0]?.current.differenceSeconds,
  });
});
