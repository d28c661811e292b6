/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { PayrollJson, TriedPayroll } from '@wergon/contract/pay';
import { toCents } from '@wergon/core/money';
import { toDay, toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import PayrollPage from './PayrollPage.vue';
import { guessPayroll, rowsOf } from './payrollRows.ts';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
/** What the worker reads a chosen file as. */
let inFile: unknown = 'empty';
jest.mock('../kit/useWorker.ts', () => ({
  useWorker: () => ({ functions: () => ({ read: () => Promise.resolve(inFile) }) }),
}));
enableAutoUnmount(afterEach);

const DAY = toDay(20_514);
const TRIED: TriedPayroll = {
  problems: [],
  people: [
    {
      ...{
        technician: 'ada' as never,
        name: 'Ada',
        firstDay: DAY,
        lastDay: toDay(DAY + 6),
        isReplaced: true,
      },
      ...{ amount: toCents(42_000), notJobs: toCents(0), costed: toCents(39_600) },
      ...{ trueUp: toCents(2400), overhead: toCents(0) },
    },
  ],
  orders: [{ order: 'o' as never, number: '24549', title: 'Rewind', trueUp: toCents(2400) }],
  stamp: 'seen',
};
const IMPORT: PayrollJson['imports'][number] = {
  ...{ id: 'i', name: 'march.csv', by: 'Sol', at: toInstant(0), people: 1 },
  periods: [{ firstDay: DAY, lastDay: toDay(DAY + 6) }],
  ...{ amount: toCents(42_000), notJobs: toCents(0), costed: toCents(39_600) },
  ...{ withdrawnBy: null, reason: null },
};
const TABLE = {
  headings: ['Number', 'Period', 'Amount'],
  rows: [['4001', '2.3.2026', '1.420,50']],
};

async function open(
  tried: Partial<TriedPayroll> = {},
  rights: Parameters<typeof signIn> = ['pay.see', 'rates.see', 'pay.close'],
) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => {
    switch (name) {
      case 'payroll':
        return { imports: [IMPORT] };
      case 'tryPayroll':
        return { ...TRIED, ...tried };
      default:
        return null;
    }
  };
  const ways = {
    pay: '/pay',
    'pay-time-off': '/pay/time-off',
    'pay-file': '/pay/file',
    'pay-overtime': '/pay/overtime',
  };
  const opened = await openPage(PayrollPage, { ...ways, 'pay-payroll': '/pay/payroll' });
  await flushPromises();
  const choose = async (table: unknown) => {
    inFile = table;
    const input = opened.page.get('input[type="file"]');
    Object.defineProperty(input.element, 'files', {
      value: [new File(['x'], 'paid.csv')],
      configurable: true,
    });
    await input.trigger('change');
    for (let i = 0; i < 6; i++) await flushPromises();
  };
  const sent = (route: string) =>
    bodies()
      .filter(([name]) => name === route)
      .map(([, body]) => body);
  return { ...opened, choose, sent };
}

test('a file is read as any country writes it, shown with what it does, and taken as it was seen', async () => {
  const { page, press, choose, sent } = await open();
  await choose(TABLE);
  const rows = [{ payrollNumber: '4001', period: '2026-03-02', amount: '1420.50' }];
  expect(sent('tryPayroll')).toEqual([{ rows }]);
  expect(page.text()).toContain('payroll paid €420.00; by the rates it was €396.00. Taking it adds €24.00.');
  expect(page.text()).toContain('takes the place of what was taken before');
  expect(page.text()).toContain('24549 Rewind');
  await press('Take it over');
  expect(sent('takePayroll')).toEqual([{ rows, name: 'paid.csv', stamp: 'seen' }]);
});

test('rows that are not right are named as the file counts them, and nothing can be taken', async () => {
  const problem = { row: 0, field: 'payrollNumber', message: 'nobody has this payroll number' } as const;
  const { page, choose } = await open({ problems: [problem] });
  await choose(TABLE);
  expect(page.text()).toContain('1 row is not right. Nothing is taken until it is.');
  // The first row below the headings is the file's second.
  expect(page.findAll('tbody tr')[0]?.text()).toMatch(/^2Payroll number.*nobody has this payroll number/);
  expect(page.findAll('button').map((each) => each.text())).not.toContain('Take it over');
});

test('columns that nobody could guess are chosen first', async () => {
  const { page, press, choose, sent } = await open();
  await choose({ ...TABLE, headings: ['Who', 'When', 'How much'] });
  expect(sent('tryPayroll')).toEqual([]);
  for (const [i, select] of page.findAll('.match select').entries()) await select.setValue(i);
  await press('Check every row');
  expect(sent('tryPayroll')).toMatchObject([{ rows: [{ payrollNumber: '4001', amount: '1420.50' }] }]);
});

test('a file that cannot be read says why', async () => {
  const { page, choose } = await open();
  await choose('no-rows');
  expect(page.get('[role="alert"]').text()).toBe('There are no rows below the headings.');
});

test('what was taken is taken back with a reason; who does not close periods only sees it', async () => {
  const { page, press, sent } = await open();
  expect(page.text()).toContain('€24.00');
  await press('Take back');
  await page.get('.reason input').setValue('wrong month');
  await page.get('form.reason').trigger('submit');
  await flushPromises();
  expect(sent('withdrawPayroll')).toEqual([{ id: 'i', reason: 'wrong month' }]);
  const seen = await open({}, ['pay.see', 'rates.see']);
  expect(seen.page.text()).toContain('Somebody who sees rates and closes pay periods takes it over.');
  expect(seen.page.findAll('input[type="file"]')).toHaveLength(0);
});

test.each([
  [
    ['Personalnummer', 'Abrechnung', 'Betrag'],
    [0, 1, 2],
  ],
  [
    ['Name', 'Employee number', 'Employer cost', 'First day'],
    [1, 3, 2],
  ],
  [['Weather'], [null, null, null]],
])('headings %j', (headings, places) => {
  const match = guessPayroll(headings);
  expect([match['payrollNumber'] ?? null, match['period'] ?? null, match['amount'] ?? null]).toEqual(places);
  expect(rowsOf([[]], match)).toEqual([{ payrollNumber: '', period: '', amount: '' }]);
});
