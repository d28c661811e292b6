/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { PayFileJson } from '@wergon/contract/pay';
import type { ResponseOf } from '@wergon/contract/routes';
import { toDay, toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import PayFilePage from './PayFilePage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const FIRST = toDay(20_514);
const layout = {
  ...{ rows: 'day', separator: 'comma', decimal: 'point', dates: '2026-11-30', hasHeadings: true },
  columns: [
    { field: 'payrollNumber', heading: 'Number' },
    { field: 'hours', heading: 'Hours' },
  ],
} as const;
const FILE: PayFileJson = {
  ...{ firstDay: FIRST, lastDay: toDay(FIRST + 6), refusal: null, groups: [], missing: [], leftOut: [] },
  ...{ rows: 1, people: 1, earlierSeconds: 0, stamp: 'seen', files: [] },
  cells: [
    ['Number', 'Hours'],
    ['4001', '8.00'],
  ],
  sums: [{ code: '100', hundredths: 800, people: 1 }],
};
const missing: PayFileJson['missing'] = [
  {
    ...{ key: 'number bo', of: 'number', technician: 'bo' as never, name: 'Bo', kind: null, day: null },
    seconds: 21_600,
  },
  {
    ...{ key: 'code worked overtime job', of: 'code', technician: null, name: '', day: null, seconds: 7200 },
    kind: 'worked overtime job',
  },
];
const period = (days: number, state: 'closed' | 'running', isSent: boolean) => ({
  ...{ firstDay: toDay(FIRST + days), lastDay: toDay(FIRST + days + 6), state, isSent },
  ...{ closedBy: state === 'closed' ? 'Sol' : null, closedAt: state === 'closed' ? toInstant(0) : null },
});
const PERIODS: ResponseOf<'payPeriods'> = {
  asOf: toInstant(0),
  periods: [period(7, 'running', false), period(0, 'closed', false), period(-7, 'closed', true)],
};

async function open(file: Partial<PayFileJson> = {}, layouts = [{ id: 'one', name: 'Payroll', layout }]) {
  signIn('pay.see', 'pay.close', 'people.see');
  server.calls = [];
  server.answer = ({ name }) => {
    switch (name) {
      case 'payPeriods':
        return PERIODS;
      case 'payForms':
        return { codes: [{ kind: 'worked straight job', code: '100' }], layouts };
      case 'payFile':
        return { ...FILE, ...file };
      case 'tryPayLayout':
        return { cells: [['Number'], ['4001']], rows: 1 };
      default:
        return { id: 'made' };
    }
  };
  const others = {
    pay: '/pay',
    'pay-time-off': '/pay/time-off',
    'pay-file': '/pay/file',
    'pay-payroll': '/pay/payroll',
    'pay-overtime': '/pay/overtime',
  };
  const opened = await openPage(PayFilePage, { ...others, person: '/p/:technician', approve: '/approve' });
  // What is asked for waits for what was asked for before it.
  for (let asked = 0; asked < 8; asked++) await flushPromises();
  const sent = (route: string) =>
    bodies()
      .filter(([name]) => name === route)
      .map(([, body]) => body);
  const make = () => opened.page.findAll('button').find((each) => each.text() === 'Make the pay file');
  return { ...opened, sent, make };
}

test('the last closed period that was not sent is made into the file that was seen', async () => {
  const { page, press, sent } = await open();
  expect(page.get('[aria-pressed="true"]').text()).toContain('closed');
  expect(page.text()).toContain('4001');
  await press('Make the pay file');
  await flushPromises();
  expect(sent('makePayFile')).toEqual([
    { firstDay: '2026-03-02', group: '', layout: 'one', stamp: 'seen', putOff: [] },
  ]);
});

test('what is missing is named in words and holds the file up until it is left out', async () => {
  const { page, press, sent, make } = await open({ missing });
  expect(page.text()).toContain('Bo has no payroll number');
  expect(page.text()).toContain('No pay code for overtime time, on jobs');
  expect(page.text()).toContain('2 things are missing');
  expect(make()?.attributes('disabled')).toBeDefined();
  await press('Leave all of it out this time');
  expect(make()?.attributes('disabled')).toBeUndefined();
  await press('Make the pay file');
  await flushPromises();
  expect(sent('makePayFile')).toMatchObject([{ putOff: missing.map(({ key }) => key) }]);
});

test.each<[refusal: PayFileJson['refusal'], words: string]>([
  ['not-closed', 'once this period is closed'],
  ['no-layout', 'in what form payroll wants its file'],
  ['nothing', 'is in the files below'],
])('where no file can be made (%s) it says why', async (refusal, words) => {
  const { page, make } = await open({ refusal });
  expect(page.text()).toContain(words);
  expect(make()?.attributes('disabled')).toBeDefined();
});

test('codes that were written go out, and kinds without one do not', async () => {
  const { page, press, sent } = await open();
  await press('Pay codes…');
  await page.get('[aria-label="overtime time, on jobs"]').setValue(' 150 ');
  await page.get('form.codes').trigger('submit');
  await flushPromises();
  expect(sent('savePayCodes')).toEqual([
    {
      codes: [
        { kind: 'worked straight job', code: '100' },
        { kind: 'worked overtime job', code: '150' },
      ],
    },
  ]);
});

test('a form says at its column what a coarser row cannot hold, and a heading goes with its field', async () => {
  const { page, press, sent } = await open({}, []);
  await press('New form…');
  await page.get('form.layout input').setValue('Payroll');
  const [rows] = page.findAll('form.layout select');
  await rows?.setValue('period');
  await page.findAll('.column')[2]?.get('select').trigger('focusout');
  await flushPromises();
  expect(page.findAll('.column')[2]?.text()).toContain('needs finer rows');
  const day = page.findAll('.column')[2];
  await day?.get('select').setValue('department');
  expect((day?.get('input').element as HTMLInputElement).value).toBe('Department');
  await page.get('form.layout').trigger('submit');
  await flushPromises();
  expect(sent('savePayLayout')).toMatchObject([{ id: null, name: 'Payroll', layout: { rows: 'period' } }]);
});

test('a file that was made is taken back with a reason, and then says by whom', async () => {
  const made: PayFileJson['files'][number] = {
    ...{ id: 'f', by: 'Sol', at: toInstant(0), layout: 'Payroll', group: '', rows: 1, sums: FILE.sums },
    ...{ digest: 'abcdef0123456789', withdrawnBy: null, reason: null },
  };
  const { page, press, sent } = await open({
    files: [made, { ...made, id: 'g', withdrawnBy: 'Bo', reason: 'wrong form' }],
  });
  expect(page.text()).toContain('taken back by Bo: wrong form');
  expect(page.text()).toContain('abcdef012345');
  await press('Take back');
  await page.get('.reason input').setValue('twice');
  await page.get('form.reason').trigger('submit');
  await flushPromises();
  expect(sent('withdrawPayFile')).toEqual([{ id: 'f', reason: 'twice' }]);
});
