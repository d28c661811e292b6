import type { OwnTimeOffJson } from '@wergon/contract/pay';
import { openPayShop, plan } from './payShop.fixture.ts';
import type { PayShop } from './payShop.fixture.ts';

let paid: PayShop;
beforeEach(async () => {
  paid = await openPayShop();
});
afterEach(() => paid.shop.close());

const holiday = (from: string, to = from, hours: string | null = null) => ({
  ...{ from, to, kind: 'holiday', isPaid: true, hours },
});
type Balances = { balances: { kind: string; allowed: number | null; taken: number; left: number | null }[] };
/** In hours, by kind. */
const balances = async (year = 2026) =>
  (await paid.read<Balances>(`/api/people/${paid.shop.ada}/leave?year=${year}`)).balances.map(
    ({ kind, allowed, taken, left }) =>
      [kind, ...[allowed, taken, left].map((each) => (each === null ? '-' : each / 3600))].join(' '),
  );

test('an absence on a day that was worked, or on which the shop is closed, is entered, and said', async () => {
  const { shop, post } = paid;
  await shop.send(shop.scan('work-start', 41, shop.ada, [shop.strip]), shop.scan('work-stop', 42, shop.ada));
  await post('/api/shop/closed-days', { day: '2026-03-04', name: 'Founding day' });
  const added = await shop.post(
    `/api/people/${shop.ada}/absences`,
    holiday('2026-03-03', '2026-03-05'),
    paid.desk(),
  );
  expect(added).toMatchObject({ status: 200, body: { worked: ['2026-03-03'], closed: ['2026-03-04'] } });
});

test('what is allowed of a year, had of it and left', async () => {
  const { shop, post } = paid;
  const of = `/api/people/${shop.ada}`;
  await post(`${of}/patterns`, plan);
  expect(await balances()).toEqual([]);
  await post(`${of}/leave`, { year: 2026, kind: 'holiday', hours: '200' });
  await post(`${of}/absences`, holiday('2026-02-02', '2026-02-08'));
  await post(`${of}/absences`, holiday('2026-02-09', '2026-02-09', '2,5'.replace(',', '.')));
  expect(await balances()).toEqual(['holiday 200 42.5 157.5']);
  expect(await balances(2027)).toEqual([]);
  await post(`${of}/leave`, { year: 2026, kind: 'holiday', hours: null });
  expect(await balances()).toEqual(['holiday - 42.5 -']);
});

test.each<[path: string, body: object, status: number, field: string]>([
  ['absences', holiday('2026-03-05', '2026-03-04'), 422, 'to'],
  ['absences', holiday('2026-03-05', '2026-03-05', '0'), 422, 'hours'],
  ['absences', holiday('2026-03-05', '2026-03-05', '24.1'), 422, 'hours'],
  ['absences', holiday('2026-03-05', '2026-03-05', 'some'), 422, 'hours'],
  ['leave', { year: 2026, kind: 'bored', hours: '8' }, 422, 'kind'],
  ['leave', { year: 1, kind: 'holiday', hours: '8' }, 422, 'year'],
  ['leave', { year: 2026, kind: 'holiday', hours: '-8' }, 422, 'hours'],
  ['leave', { year: 2026, kind: 'holiday', hours: null }, 404, ''],
])('%s %j is %s at “%s”', async (path, body, status, field) => {
  const { shop } = paid;
  const answer = await shop.post(`/api/people/${shop.ada}/${path}`, body, paid.desk());
  const { errors = [] } = answer.body as { errors?: { field: string }[] };
  expect([answer.status, errors[0]?.field ?? '']).toEqual([status, field]);
});

describe('at the desk for oneself', () => {
  const leave = { kind: 'holiday', from: '2026-03-16', to: '2026-03-17' };

  test('time off is asked for, seen with how it stands and who answered, and taken back', async () => {
    const { shop } = paid;
    const own = await shop.addUser({ userName: 'ada', role: 'technician', technician: shop.ada });
    const read = () => paid.read<OwnTimeOffJson>('/api/own/time-off', own);
    const once = 'the-same-press-of-one-button';
    // Pressed twice it is asked once.
    for (const _press of [1, 2])
      expect((await shop.post('/api/own/time-off', { ...leave, text: 'a wedding', once }, own)).status).toBe(
        200,
      );
    const [asked, ...more] = (await read()).requests;
    expect([asked, more]).toMatchObject([{ ...leave, seconds: null, standing: 'asked', answer: null }, []]);
    await shop.post(
      `/api/floor/requests/${asked?.request}/answer`,
      { state: 'granted', text: 'enjoy' },
      paid.desk(),
    );
    expect((await read()).requests).toMatchObject([{ standing: 'granted', answer: { text: 'enjoy' } }]);
    await shop.post('/api/own/time-off/withdraw', { request: asked?.request }, own);
    expect((await read()).requests).toMatchObject([{ standing: 'not-wanted' }]);
  });

  test('nobody takes back what somebody else asked for, nor asks who has no place on the floor', async () => {
    const { shop } = paid;
    const own = await shop.addUser({ userName: 'ada', role: 'technician', technician: shop.ada });
    const other = await shop.addUser({ userName: 'bo', role: 'technician', technician: shop.bo });
    const nobody = await shop.addUser({ userName: 'cy', role: 'technician' });
    await shop.post('/api/own/time-off', leave, own);
    const [asked] = (await paid.read<OwnTimeOffJson>('/api/own/time-off', own)).requests;
    const back = (as: string) => shop.post('/api/own/time-off/withdraw', { request: asked?.request }, as);
    expect((await back(other)).status).toBe(404);
    expect((await shop.post('/api/own/time-off', leave, nobody)).status).toBe(409);
    expect((await paid.read<OwnTimeOffJson>('/api/own/time-off', own)).requests).toMatchObject([
      { standing: 'asked' },
    ]);
  });
});
