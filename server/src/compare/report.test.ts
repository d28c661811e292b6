import type { z } from 'zod';
import type { reportSchema } from '@wergon/contract/compare';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    { ...shop.scan('count', 30, shop.ada, [shop.strip]), good: 3, scrap: 1 },
    { ...shop.scan('note', 31, shop.ada, [shop.strip]), text: 'Burnt through' },
    shop.scan('work-start', 0, shop.bo, [shop.strip]),
    shop.scan('work-stop', 40, shop.bo),
    shop.scan('work-stop', 60, shop.ada),
  );
});
afterAll(() => shop.close());
type Report = z.input<typeof reportSchema>;
const report = async (cookie = shop.desk) =>
  (await shop.get(`/api/work/${shop.order}/report`, cookie)).body as Report;

test('each day with its tasks, heads, man-hours, pieces and notes, and the sum', async () => {
  const told = await report();
  expect(told).toMatchObject({ number: '1001', total: { heads: 2, seconds: 6000 } });
  expect(told.days).toMatchObject([
    {
      day: '2026-03-03',
      heads: 2,
      seconds: 6000,
      tasks: [{ title: 'Strip', heads: 2, seconds: 6000, pieces: { good: 3, scrap: 1 } }],
      notes: [{ text: 'Burnt through', who: 'Ada', isForCustomer: false }],
    },
  ]);
  expect(told.days[0]?.tasks[0]?.people).toMatchObject([
    { name: 'Ada', seconds: 3600 },
    { name: 'Bo', seconds: 2400 },
  ]);
  expect(told.days[0]?.cost).toBe(told.total.cost);
});

test('at standard cost for whoever may not see rates, and not found where there is none', async () => {
  const mikko = await shop.addUser({ name: 'Mikko', userName: 'mikko', role: 'supervisor' });
  expect((await report(mikko)).costs).toBe('standard');
  expect((await shop.get('/api/work/none/report')).status).toBe(404);
});
