import type { z } from 'zod';
import type { whySchema } from '@wergon/contract/compare';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    { ...shop.scan('work-start', 30, shop.ada, [shop.strip]), workType: 'rework' },
    shop.scan('task-done', 60, shop.ada, [shop.strip]),
    shop.scan('work-start', 60, shop.bo, [shop.winding]),
    shop.scan('work-stop', 75, shop.bo),
  );
});
afterAll(() => shop.close());

const why = async (cookie = shop.desk) =>
  (await shop.get(`/api/work/${shop.order}/why`, cookie)).body as z.input<typeof whySchema>;
const cents = (text: string) => Math.round(Number(text) * 100);
const sumOf = (causes: readonly { cents: string; seconds: number }[]) => [
  causes.reduce((sum, each) => sum + cents(each.cents), 0),
  causes.reduce((sum, { seconds }) => sum + seconds, 0),
];

test('causes of each task, and of the order, add up to their differences', async () => {
  const told = await why();
  for (const each of [told, ...told.tasks])
    for (const against of [each.current, each.first]) {
      expect(sumOf(against.causes)).toEqual([cents(against.difference), against.differenceSeconds]);
      expect(cents(against.expectedCost) + cents(against.difference)).toBe(cents(each.actualCost));
      expect(against.expectedSeconds + against.differenceSeconds).toBe(each.actualSeconds);
    }
  const [strip, winding] = told.tasks;
  expect(strip?.isFinished).toBe(true);
  expect(strip?.current.causes.map(({ cause }) => cause)).toContain('rework');
  // A task that has hardly begun is not under; what it cost beside its grade is known.
  expect(winding).toMatchObject({ isFinished: false, current: { differenceSeconds: 0 } });
  expect(winding?.current.causes.map(({ cause }) => cause)).toEqual(['rate']);
});

test('who may not see rates is told nothing of what a person costs', async () => {
  const mikko = await shop.addUser({ name: 'Mikko', userName: 'mikko', role: 'supervisor' });
  const told = await why(mikko);
  expect(told.costs).toBe('standard');
  const causes = [told, ...told.tasks].flatMap(({ current, first }) => [...current.causes, ...first.causes]);
  expect(causes.map(({ cause }) => cause)).not.toContain('rate');
  expect(sumOf(told.current.causes)[0]).toBe(cents(told.current.difference));
});

test('a changed estimate is a cause against the first one alone', async () => {
  const { body } = await shop.get(`/api/work/${shop.order}`);
  const { order, tasks } = body as { order: { version: number }; tasks: Record<string, unknown>[] };
  const { estimateIncludes, ...fields } = shop.newOrder('1001') as Record<string, unknown>;
  const changed = {
    ...fields,
    estimateIncludes,
    version: order.version,
    tasks: tasks.map(({ id, title, workCenter, grade }, i) => ({
      id,
      title,
      workCenter,
      grade,
      runHours: i === 0 ? '5' : '2',
    })),
  };
  expect((await shop.post(`/api/work/${shop.order}`, changed)).body).toBeNull();
  const told = await why();
  expect(told.tasks[0]?.first.causes.map(({ cause }) => cause)).toContain('changed');
  expect(told.tasks[0]?.current.causes.map(({ cause }) => cause)).not.toContain('changed');
  expect(sumOf(told.first.causes)).toEqual([cents(told.first.difference), told.first.differenceSeconds]);
});

test('an order that there is none of is not found', async () => {
  expect((await shop.get('/api/work/none/why')).status).toBe(404);
});
