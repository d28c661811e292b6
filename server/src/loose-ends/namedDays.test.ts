import { line, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

const send = (identity: string, ...entries: object[]) =>
  shop.post(
    '/api/station/entries',
    { entries: entries.map((entry) => line(entry as Record<string, unknown>, { identity })) },
    shop.station,
  );
const named = async (query = '') =>
  (await shop.get(`/api/reconcile/named${query}`)).body as { days: object[] };

test('days on which somebody was known by a name or a number alone are told, with how often and where', async () => {
  expect(await named()).toEqual({ days: [] });
  await send('badge', shop.scan('shift-in', 0, shop.ada));
  await send(
    'name',
    shop.scan('work-start', 5, shop.ada, [shop.strip]),
    shop.scan('work-stop', 20, shop.ada),
  );
  await send('number', shop.scan('shift-in', 10, shop.bo));
  await send('number-and-pin', shop.scan('shift-out', 30, shop.bo));
  const ada = { technician: shop.ada, name: 'Ada', day: '2026-03-03', times: 2, stations: ['Winding 1'] };
  const bo = { technician: shop.bo, name: 'Bo', day: '2026-03-03', times: 1, stations: ['Winding 1'] };
  const { days } = await named();
  expect(days).toHaveLength(2);
  expect(days).toEqual(expect.arrayContaining([ada, bo]));
  expect(await named('?from=2026-02-01&to=2026-03-02')).toEqual({ days: [] });
});
