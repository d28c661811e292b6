import type { PayrollJson, TriedPayroll } from '@wergon/contract/pay';
import { rebuild } from '../ledger/rebuild.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { readSql } from '../db/index.ts';
import { WEEK, openPayShop, rule } from './payShop.fixture.ts';
import type { PayShop } from './payShop.fixture.ts';

let paid: PayShop;
let shop: TestShop;

/** Ada has worked ten hours, two of them overtime, Bo six; both for 36.00 an hour, and the week is closed. */
beforeEach(async () => {
  paid = await openPayShop();
  shop = paid.shop;
  await paid.post('/api/pay/overtime', rule);
  for (const [id, name, payrollNumber] of [
    [shop.ada, 'Ada', '4001'],
    [shop.bo, 'Bo', '4002'],
  ] as const) {
    const { technicians } = await paid.read<{ technicians: { id: string; number: string }[] }>('/api/people');
    const number = technicians.find((each) => each.id === id)?.number;
    await paid.post(`/api/people/${id}`, { number, name, payrollNumber });
  }
  await paid.close();
});
afterEach(() => shop.close());

const row = (payrollNumber: string, amount: string, period = WEEK) => ({ payrollNumber, period, amount });
const tried = async (...rows: object[]) =>
  (await paid.post('/api/pay/payroll/try', { rows })).body as TriedPayroll;
async function take(...rows: object[]) {
  const { stamp } = await tried(...rows);
  return paid.post('/api/pay/payroll', { rows, name: 'march.csv', stamp });
}
const imports = async () => (await paid.read<PayrollJson>('/api/pay/payroll')).imports;
/** Each person's labor as it stands: cost, and what of it payroll added. */
const labor = () =>
  readSql(shop.database, (sql) =>
    sql
      .all<{ technician: string; cost: number; true_up: number }>(
        'select "technician", "cost", "true_up" from "labor_line" order by "technician", "day"',
      )
      .map(({ technician, cost, true_up }) => [technician === shop.ada ? 'Ada' : 'Bo', cost, true_up]),
  ).then((lines) => lines.sort());
const typeOf = (answer: { body: unknown }) => (answer.body as { type: string }).type;

test('what payroll paid is shown before it is taken, moves the jobs’ cost as its own part, and is taken back whole', async () => {
  // Ada: 360.00 and 36.00 for overtime, Bo 216.00.
  const seen = await tried(row('4001', '420.00'), row('4002', '200.00'));
  expect(seen.problems).toEqual([]);
  expect(
    seen.people.map(({ name, costed, trueUp, isReplaced }) => [name, costed, trueUp, isReplaced]),
  ).toEqual([
    ['Ada', '396.00', '24.00', false],
    ['Bo', '216.00', '-16.00', false],
  ]);
  expect(seen.orders.map(({ trueUp }) => trueUp)).toEqual(['8.00']);
  expect((await take(row('4001', '420.00'), row('4002', '200.00'))).status).toBe(200);
  expect(await labor()).toEqual([
    ['Ada', 42_000, 2400],
    ['Bo', 20_000, -1600],
  ]);
  // Nothing but the cost has changed: no day is looked at anew for what it owes.
  const unsettled = await readSql(shop.database, (sql) => sql.all('select * from "unsettled_day"'));
  expect(unsettled).toEqual([]);
  const [kept] = await imports();
  expect([kept?.people, kept?.amount, kept?.costed]).toEqual([2, '620.00', '612.00']);
  // What was closed stays; nothing of it is an adjustment.
  expect((await paid.period('2026-03-09')).adjustments).toEqual([]);
  const back = { id: kept?.id ?? '', reason: 'wrong month' };
  expect((await paid.post('/api/pay/payroll/withdraw', back)).status).toBe(200);
  expect(typeOf(await paid.post('/api/pay/payroll/withdraw', back))).toBe('urn:wergon:pay.payroll_withdrawn');
  expect(await labor()).toEqual([
    ['Ada', 39_600, 0],
    ['Bo', 21_600, 0],
  ]);
});

test('the same rows sent twice at once are taken once', async () => {
  const rows = [row('4001', '420.00')];
  const { stamp } = await tried(...rows);
  const send = () => paid.post('/api/pay/payroll', { rows, name: 'march.csv', stamp });
  const both = await Promise.all([send(), send()]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
  expect(await imports()).toHaveLength(1);
});

test('a second import of a person and period takes the place of the first, and taken back the first counts again', async () => {
  await take(row('4001', '420.00'), row('4002', '200.00'));
  expect((await tried(row('4001', '400.00'))).people[0]?.isReplaced).toBe(true);
  await take(row('4001', '400.00'));
  expect(await labor()).toEqual([
    ['Ada', 40_000, 400],
    ['Bo', 20_000, -1600],
  ]);
  const [second] = await imports();
  await paid.post('/api/pay/payroll/withdraw', { id: second?.id, reason: 'a mistake' });
  expect((await labor())[0]).toEqual(['Ada', 42_000, 2400]);
});

test.each<[what: string, rows: object[], told: [number, string, string][]]>([
  ['somebody whom nobody knows', [row('9', '1')], [[0, 'payrollNumber', 'nobody has this payroll number']]],
  ['no number', [row('', '1')], [[0, 'payrollNumber', 'nobody has this payroll number']]],
  [
    'a person and period twice',
    [row('4001', '1'), row('4001', '2', '2026-03-05')],
    [[1, 'payrollNumber', 'stands in this file twice for this period']],
  ],
  [
    'a day that is none',
    [row('4001', '1', '3.3.26')],
    [[0, 'period', 'expected a calendar day such as 2026-03-02']],
  ],
  [
    'a period that is still open',
    [row('4001', '1', '2026-03-10')],
    [[0, 'period', 'no closed pay period holds this day']],
  ],
  ['words for an amount', [row('4001', 'lots')], [[0, 'amount', 'expected an amount such as 31.50']]],
  ['part of a cent', [row('4001', '5.005')], [[0, 'amount', 'expected an amount such as 31.50']]],
  ['less than nothing', [row('4001', '-5.00')], [[0, 'amount', 'expected an amount such as 31.50']]],
  ['more than anybody is paid', [row('4001', '1000001')], [[0, 'amount', 'must not be above 1000000']]],
  [
    'one right row among wrong ones',
    [row('4002', '200'), row('9', '1'), row('4001', '1,5')],
    [
      [1, 'payrollNumber', 'nobody has this payroll number'],
      [2, 'amount', 'expected an amount such as 31.50'],
    ],
  ],
])('%s is told of its row, and nothing is taken', async (_what, rows, told) => {
  const { problems, stamp } = await tried(...rows);
  expect(problems.map(({ row: at, field, message }) => [at, field, message])).toEqual(told);
  const answer = await paid.post('/api/pay/payroll', { rows, name: 'x', stamp });
  expect([answer.status, typeOf(answer)]).toEqual([422, 'urn:wergon:pay.payroll_wrong']);
  expect(await imports()).toEqual([]);
});

test('time away and time on nothing are no job’s: they come off first, at what the hours cost', async () => {
  await paid.post('/api/pay/reopen', { firstDay: WEEK, reason: 'leave was missing' });
  await paid.post(`/api/people/${shop.bo}/patterns`, {
    from: '2026-01-05',
    weeks: [[1, 2, 3, 4, 5, 6, 7].map(() => ({ startMinute: 420, endMinute: 780, breakMinutes: 0 }))],
  });
  const leave = { from: '2026-03-04', to: '2026-03-04', kind: 'holiday', isPaid: true };
  expect((await paid.post(`/api/people/${shop.bo}/absences`, leave)).status).toBe(200);
  await paid.close();
  // Six hours of work and six away, both for 36.00.
  const seen = await tried(row('4002', '440.00'));
  expect(seen.people.map(({ notJobs, costed, trueUp }) => [notJobs, costed, trueUp])).toEqual([
    ['216.00', '216.00', '8.00'],
  ]);
});

test('who has no labor in a period has what they were paid on no job', async () => {
  await paid.post('/api/people', { number: '77', name: 'Cy', payrollNumber: '4003' });
  const [cy] = (await tried(row('4003', '100.00'))).people;
  expect([cy?.trueUp, cy?.overhead]).toEqual(['0.00', '100.00']);
});

test('with what payroll paid taken the period stays closed, and built anew from the journal all is as it was', async () => {
  await take(row('4001', '420.00'));
  expect(typeOf(await paid.post('/api/pay/reopen', { firstDay: WEEK, reason: 'again' }))).toBe(
    'urn:wergon:pay.payroll_taken',
  );
  const before = [await labor(), await imports()];
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect([await labor(), await imports()]).toEqual(before);
});

test('a correction behind a closed period leaves what payroll paid where it is', async () => {
  await take(row('4001', '420.00'));
  // A late scan: Ada had worked two hours more.
  await paid.work(shop.ada, 1, 2);
  expect(await labor()).toEqual([
    ['Ada', 42_000, 2400],
    ['Ada', 7200, 0],
    ['Bo', 21_600, 0],
  ]);
});

test('it is why a job differs, for whoever may see rates; nobody else is told of it', async () => {
  await take(row('4001', '420.00'));
  const why = JSON.stringify(await paid.read(`/api/work/${shop.order}/why`));
  expect(why).toMatch(/"cause":"trueUp"[^}]*"24\.00"/);
  const planner = await shop.addUser({ userName: 'paul', role: 'planner', seesRates: false });
  expect(JSON.stringify(await paid.read(`/api/work/${shop.order}/why`, planner))).not.toContain('trueUp');
  for (const [path, body] of [
    ['/api/pay/payroll/try', { rows: [row('4001', '1')] }],
    ['/api/pay/payroll', { rows: [row('4001', '1')], name: 'x', stamp: '' }],
    ['/api/pay/payroll/withdraw', { id: 'x', reason: 'x' }],
  ] as const)
    expect((await shop.post(path, body, planner)).status).toBe(403);
  expect((await shop.get('/api/pay/payroll', planner)).status).toBe(403);
});
