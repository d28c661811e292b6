import { addDays, toInstant } from '@wergon/core/time';
import { SEVEN, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { loadPieces } from '../compare/periods/labor.ts';
import { readSql } from '../db/sql.ts';
import { deriveDue } from './dueDerivation.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const ruled = async (terms: object) => {
  const answer = await shop.post('/api/pay/overtime', {
    ...{ from: '2026-01-01', group: '', isPastAgreed: true },
    terms: {
      ...{ weekStart: 1, day: [{ over: '8', class: 'overtime' }], week: [], special: [] },
      ...{ multipliers: { overtime: '1.5', double: '2' }, premiumOn: 'worked', ...terms },
    },
  });
  expect(answer.status).toBe(200);
  await deriveDue(shop.database, shop.context.facts);
};
/** Lets it be so many hours after 07:00 on Tuesday, and has somebody scan. */
async function scan(hours: number, person: string, type: string, task?: string) {
  shop.clock.set((SEVEN + hours * 3600) * 1000);
  await shop.send(shop.scan(type, hours * 60, person, task === undefined ? undefined : [task]));
}

/** Hours, cost and what of it overtime adds, by day (the first is 0) and task, so many hours after. */
async function labor(hours: number) {
  shop.clock.set((SEVEN + hours * 3600) * 1000);
  const now = toInstant(SEVEN + hours * 3600);
  const facts = await shop.context.facts.get();
  const today = facts.zone.dayAt(now);
  const pieces = await readSql(shop.database, (sql) =>
    loadPieces(sql, facts, { firstDay: addDays(today, -7), lastDay: today }, now, {
      ...{ costs: 'actual', isParted: false, of: {} },
    }),
  );
  return pieces
    .map(({ day, target, seconds, cost, premium = 0 }) => {
      const task = target === shop.strip ? 'strip' : 'winding';
      return `${day - facts.zone.dayAt(SEVEN)} ${task} ${seconds / 3600} h ${cost} of it ${premium}`;
    })
    .sort();
}

test('overtime of what runs costs with every second what it will cost once it has ended', async () => {
  await ruled({});
  await scan(0, shop.ada, 'shift-in');
  await scan(0, shop.ada, 'work-start', shop.strip);
  expect(await labor(7)).toEqual(['0 strip 7 h 25200 of it 0']);
  // 36.00 an hour, and half of it more for the ninth and tenth.
  const running = await labor(10);
  expect(running).toEqual(['0 strip 10 h 39600 of it 3600']);
  await scan(10, shop.ada, 'work-stop');
  expect(await labor(10)).toEqual(running);
});

test('spread over the week it makes other days dearer at once', async () => {
  await ruled({ premiumOn: 'spread' });
  await scan(0, shop.ada, 'shift-in');
  await scan(0, shop.ada, 'work-start', shop.strip);
  await scan(8, shop.ada, 'work-stop');
  await scan(8, shop.ada, 'shift-out');
  await scan(24, shop.ada, 'shift-in');
  await scan(24, shop.ada, 'work-start', shop.winding);
  // Four hours at half of 36.00, over twenty hours.
  const running = await labor(36);
  expect(running).toEqual(['0 strip 8 h 31680 of it 2880', '1 winding 12 h 47520 of it 4320']);
  await scan(36, shop.ada, 'work-stop');
  expect(await labor(36)).toEqual(running);
});

test('a night over the start of a week belongs to the week in which its shift began', async () => {
  // Weeks begin on Wednesday; the night begins on Tuesday.
  await ruled({ weekStart: 3, day: [], week: [{ over: '4', class: 'double' }] });
  await scan(14, shop.bo, 'shift-in');
  await scan(14, shop.bo, 'work-start', shop.winding);
  // 21:00 to 04:00: three hours on Tuesday and four on Wednesday, three of all beyond four of that week.
  const running = await labor(21);
  expect(running).toEqual(['0 winding 3 h 10800 of it 0', '1 winding 4 h 25200 of it 10800']);
  await scan(21, shop.bo, 'work-stop');
  expect(await labor(21)).toEqual(running);
});

test('without a rule nothing is added', async () => {
  await scan(0, shop.ada, 'shift-in');
  await scan(0, shop.ada, 'work-start', shop.strip);
  expect(await labor(10)).toEqual(['0 strip 10 h 36000 of it 0']);
});

test('time on an activity that is not paid costs nothing, and as much as its rate once it is', async () => {
  const errand = { title: 'Errand', counts: true, isPaid: false };
  const { id } = (await shop.post('/api/shop/activities', errand)).body as { id: string };
  await scan(0, shop.ada, 'shift-in');
  await scan(0, shop.ada, 'work-start', id);
  await scan(1, shop.ada, 'work-stop');
  expect(await labor(2)).toEqual(['0 winding 1 h 0 of it 0']);
  await shop.post(`/api/shop/activities/${id}`, { ...errand, isPaid: true });
  await deriveDue(shop.database, shop.context.facts);
  expect(await labor(2)).toEqual(['0 winding 1 h 3600 of it 0']);
});
