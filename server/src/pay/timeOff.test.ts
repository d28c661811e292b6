import type { TimeOffJson } from '@wergon/contract/pay';
import { openPayShop, plan } from './payShop.fixture.ts';
import type { PayShop } from './payShop.fixture.ts';

let paid: PayShop;
beforeEach(async () => {
  paid = await openPayShop();
});
afterEach(() => paid.shop.close());

test('four weeks of everybody who is here: in, free, away and why, or closed', async () => {
  const { shop, post, read } = paid;
  await post(`/api/people/${shop.ada}/patterns`, plan);
  const leave = { from: '2026-03-17', to: '2026-03-17', kind: 'unpaid leave', isPaid: false };
  await post(`/api/people/${shop.ada}/absences`, leave);
  await post('/api/shop/closed-days', { day: '2026-03-18', name: 'Founding day' });
  const { days, people } = await read<TimeOffJson>('/api/pay/time-off?from=2026-03-16');
  expect([days.length, days[0], people.map(({ name, days: own }) => [name, own.length])]).toEqual([
    28,
    '2026-03-16',
    [
      ['Ada', 28],
      ['Bo', 28],
    ],
  ]);
  const told = people.map(({ days: own }) =>
    own.slice(0, 6).map(({ kind, why, isPaid }) => `${kind} ${why} ${isPaid}`),
  );
  expect(told[0]).toEqual([
    'in  null',
    'away unpaid leave false',
    'closed  null',
    'in  null',
    'in  null',
    'free  null',
  ]);
  // Of whom nothing is planned nobody says that they are in.
  expect(told[1]?.[0]).toBe('free  null');
});

test.each(['9999-12-31', '0001-01-01', '9999-12-05'])(
  'from %s on it says something, or why not',
  async (from) => {
    const { status } = await paid.shop.get(`/api/pay/time-off?from=${from}`, paid.desk());
    expect([200, 422]).toContain(status);
  },
);

test('whoever sees only some of the people is told of those', async () => {
  await paid.post('/api/people', { number: '9', name: 'Cy', department: 'Stripping' });
  const departments = [await paid.shop.listed('department', 'Stripping')];
  const fields = { userName: 'nora', role: 'supervisor', departments, seesOnlyTheirs: true };
  const narrow = await paid.shop.addUser(fields);
  const { people } = await paid.read<TimeOffJson>('/api/pay/time-off?from=2026-03-16', narrow);
  expect(people.map(({ name }) => name)).toEqual(['Cy']);
});
