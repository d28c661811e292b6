import { daysFrom, toDay } from '@wergon/core/time';
import { createRandom } from './random.ts';
import { estimateOfStep, makeOrders } from './makeOrders.ts';
import { PEOPLE } from './sampleShop.ts';
import { simulate } from './simulate.ts';
import type { SimOrder } from './workflow.ts';

const DAY = 86_400;
const DAYS = daysFrom(toDay(20_000), 3);

function play(seed: number) {
  const random = createRandom(seed);
  const orders = makeOrders(DAYS, random).map(({ order, steps }, i): SimOrder => ({
    id: `w${i}`,
    dueDay: order.due ?? toDay(0),
    releasedAt: 0,
    finishedAt: null,
    tasks: steps.map((step, j) => {
      const { setup, run } = estimateOfStep(step, order.quantity);
      return {
        id: `w${i}-${j}`,
        step,
        setupSeconds: setup,
        trueSeconds: run,
        room: 1,
        workedSeconds: 0,
        people: 0,
        isDone: false,
        isRework: false,
      };
    }),
  }));
  const people = PEOPLE.map((person, i) => ({ technician: `t${i}`, person }));
  let ids = 0;
  return simulate(
    people,
    orders,
    DAYS,
    20_002 * DAY + 13 * 3600,
    (day, seconds) => day * DAY + seconds,
    random,
    () => `e${(ids += 1)}`,
  );
}

test('the same seed plays the same weeks, another one others', () => {
  expect(play(1)).toEqual(play(1));
  expect(play(2)).not.toEqual(play(1));
});

test('scans come in order of time, each with an id of its own, none after the end', () => {
  const entries = play(3);
  expect(entries.length).toBeGreaterThan(500);
  expect(new Set(entries.map(({ entry }) => entry.id)).size).toBe(entries.length);
  const times = entries.map(({ at }) => at);
  expect(times).toEqual([...times].sort((a, b) => a - b));
  expect(times.at(-1)).toBeLessThan(20_002 * DAY + 13 * 3600);
});

test.each([4, 5, 6, 7])('nobody starts a task that is done, seed %i', (seed) => {
  const done = new Set<string>();
  for (const { entry } of play(seed)) {
    if (entry.type === 'task-done') for (const target of entry.targets) done.add(target);
    if (entry.type === 'task-reopen') for (const target of entry.targets) done.delete(target);
    if (entry.type === 'work-start') for (const target of entry.targets) expect(done.has(target)).toBe(false);
  }
});
