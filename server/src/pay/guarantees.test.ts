import { WEEK, fieldsOf, openPayShop } from './payShop.fixture.ts';
import type { PayShop } from './payShop.fixture.ts';

let paid: PayShop;
// Ada has worked ten hours in the week, Bo six.
beforeEach(async () => {
  paid = await openPayShop();
});
afterEach(() => paid.shop.close());

const guarantee = (who: string, hours: string | null, from = '2026-01-01') =>
  paid.post(`/api/people/${who}/guarantees`, { from, hours });
const away = async (firstDay = WEEK) =>
  (await paid.period(firstDay)).people.map(({ name, away: own }) => [
    name,
    own.map(({ kind, seconds }) => [kind, seconds / 3600]),
  ]);

test('what a week lacks of the guaranteed hours is paid on its last day, and never taken off', async () => {
  await guarantee(paid.shop.ada, '8');
  await guarantee(paid.shop.bo, '20');
  expect(await away()).toEqual([
    ['Ada', []],
    ['Bo', [['guarantee', 14]]],
  ]);
});

test('of a week that still goes on nothing is filled up yet', async () => {
  await guarantee(paid.shop.bo, '20');
  expect(await away('2026-03-09')).toEqual([]);
});

test('leave counts towards it, paid or not; the record in force on the first day of the week holds', async () => {
  await guarantee(paid.shop.bo, '20');
  await guarantee(paid.shop.bo, '40', '2026-03-04');
  await paid.post(`/api/people/${paid.shop.bo}/patterns`, {
    from: '2026-01-05',
    weeks: [[1, 2, 3, 4, 5, 6, 7].map(() => ({ startMinute: 420, endMinute: 660, breakMinutes: 0 }))],
  });
  const leave = { from: '2026-03-05', to: '2026-03-05', kind: 'unpaid leave', isPaid: false };
  await paid.post(`/api/people/${paid.shop.bo}/absences`, leave);
  // Six worked, four away without pay.
  expect((await away())[1]).toEqual(['Bo', [['guarantee', 10]]]);
});

test('a closed period keeps what it filled up, and it goes to payroll under a code of its own', async () => {
  await guarantee(paid.shop.bo, '20');
  await paid.close();
  const late = await guarantee(paid.shop.bo, '40', '2026-03-03');
  expect([late.status, fieldsOf(late)]).toEqual([409, ['from']]);
  expect((await away())[1]).toEqual(['Bo', [['guarantee', 14]]]);
  const { missing } = await paid.read<{ missing: { kind: string | null }[] }>(
    `/api/pay/file?firstDay=${WEEK}`,
  );
  expect(missing.map(({ kind }) => kind)).toContain('guarantee');
});

test.each([['169'], ['-1'], ['forty'], ['']])(
  '“%s” hours of a week are refused at the field',
  async (hours) => {
    const answer = await guarantee(paid.shop.ada, hours);
    expect([answer.status, fieldsOf(answer)]).toEqual([422, ['hours']]);
  },
);

test('hours are told as they were said, and taken out again', async () => {
  await guarantee(paid.shop.ada, '37.5');
  const told = () => paid.read(`/api/people/${paid.shop.ada}/guarantees`);
  expect(await told()).toEqual({ guarantees: [{ from: '2026-01-01', hours: '37.5' }] });
  await guarantee(paid.shop.ada, null);
  expect(await told()).toEqual({ guarantees: [] });
  expect((await guarantee(paid.shop.ada, null)).status).toBe(404);
});
