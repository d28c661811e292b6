/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type * as Vue from 'vue';
import { parseDay, toSeconds } from '@wergon/core/time';
import { toCents } from '@wergon/core/money';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import OvertimePage from './OvertimePage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// The shop's today is Monday, 2 March 2026.
jest.mock('../kit/useToday.ts', () => ({
  useToday: () => jest.requireActual<typeof Vue>('vue').ref(20_514),
}));
enableAutoUnmount(afterEach);

const day = (text: string) => {
  const read = parseDay(text);
  return read.ok ? read.value : null;
};
const terms = {
  ...{ weekStart: 1, day: [{ over: '8', class: 'overtime' }], week: [], special: [] },
  ...{ multipliers: { overtime: '1.5', double: '2' }, premiumOn: 'worked' },
};
const rule = (from: string, group = '', more: object = {}) => ({
  ...{ from: day(from), group, terms: { ...terms, ...more }, by: 'Sol', at: null },
});
const classes = (straight: number, overtime: number) => ({
  ...{ straight: toSeconds(straight * 3600), overtime: toSeconds(overtime * 3600), double: toSeconds(0) },
});
const both = (before: number, after: number) => ({ before: toCents(before), after: toCents(after) });
/** Two parts of what a rule tried would have done. */
const FIRST = {
  people: [
    {
      ...{ technician: 'ada', name: 'Ada', premium: both(0, 3_600) },
      classes: { before: classes(10, 0), after: classes(8, 2) },
    },
  ],
  orders: [{ order: 'o1', number: '1001', title: 'Rewind', premium: both(0, 3_600) }],
  ...{ overhead: both(0, 0), done: 10, of: 12, next: 'ada' },
};
const SECOND = {
  people: [
    {
      ...{ technician: 'bo', name: 'Bo', premium: both(0, 1_400) },
      classes: { before: classes(9, 0), after: classes(8, 1) },
    },
  ],
  orders: [{ order: 'o1', number: '1001', title: 'Rewind', premium: both(0, 1_400) }],
  ...{ overhead: both(0, 0), done: 12, of: 12, next: null },
};

async function open(
  rules: object[],
  rights: Parameters<typeof signIn> = ['pay.see', 'shop.see', 'shop.change'],
) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name, options }) => {
    switch (name) {
      case 'overtime':
        return { rules, groups: [], pending: 0 };
      case 'payPeriods':
        return {
          periods: [
            { firstDay: day('2026-03-02'), lastDay: day('2026-03-08'), state: 'running' },
            { firstDay: day('2026-02-23'), lastDay: day('2026-03-01'), state: 'over' },
          ],
        };
      case 'shop':
        return { lists: { 'pay-group': [{ name: 'Night crew', isOff: false }] } };
      case 'tryOvertime':
        return (options?.['body'] as { after: string | null }).after === null ? FIRST : SECOND;
      default:
        return null;
    }
  };
  const opened = await openPage(OvertimePage, {
    ...{
      pay: '/pay',
      'pay-time-off': '/pay/time-off',
      'pay-file': '/pay/file',
      'pay-payroll': '/pay/payroll',
      'pay-overtime': '/pay/overtime',
    },
  });
  const submit = async () => {
    await opened.page.get('form.draft').trigger('submit');
    await flushPromises();
    await flushPromises();
  };
  const sent = (route: string) =>
    bodies()
      .filter(([name]) => name === route)
      .map(([, body]) => body);
  return { ...opened, submit, sent };
}

test('rules are said in words, and those in force today are marked, one for each group', async () => {
  const { page } = await open([
    rule('2026-06-01'),
    rule('2026-02-01', '', {
      week: [{ over: '40', class: 'double' }],
      special: [{ on: 7, class: 'double' }],
    }),
    rule('2026-01-01', 'Night crew', { day: [], premiumOn: 'overhead' }),
    rule('2026-01-01'),
  ]);
  const rows = page.findAll('tbody tr').map((row) => row.text());
  expect(rows.map((text) => text.includes('in force'))).toEqual([false, true, true, false]);
  expect(
    page
      .findAll('tbody tr')[1]
      ?.findAll('.says')
      .map((each) => each.text()),
  ).toEqual([
    'Beyond 8 h a day: overtime (× 1.5)',
    'Beyond 40 h a week: double (× 2)',
    'All of Sunday: double (× 2)',
  ]);
  expect(rows[2]).toContain('Everything is straight');
  expect(rows[2]).toContain('no job');
});

test('a shop without a rule is offered examples that say they are examples', async () => {
  const { page, press } = await open([]);
  expect(page.text()).toContain('Check them against your law');
  await press('Beyond 40 h a week');
  expect(page.findAll('input').map((each) => (each.element as HTMLInputElement).value)).toContain('40');
});

test('a rule from today on is tried on the last period, in parts, before it is set', async () => {
  const { page, press, submit, sent } = await open([]);
  await press('Beyond 8 h a day');
  await submit();
  expect(sent('tryOvertime')).toMatchObject([
    { firstDay: '2026-02-23', lastDay: '2026-03-01', from: '2026-02-23', after: null },
    { after: 'ada' },
  ]);
  expect(page.get('.effect').text()).toContain('2 people would have been paid otherwise');
  expect(page.get('.effect').text()).toContain('In all €50.00');
  expect(page.findAll('.effect tbody tr').map((row) => row.text())).toEqual([
    expect.stringContaining('Ada'),
    expect.stringContaining('Bo'),
    expect.stringContaining('€50.00'),
  ]);
  expect(sent('saveOvertime')).toEqual([]);
  await submit();
  expect(sent('saveOvertime')).toMatchObject([{ from: '2026-03-02', group: '', isPastAgreed: true, terms }]);
});

test('what was typed wrong is said at its field, and nothing is set', async () => {
  const { page, press, submit, sent, field } = await open([]);
  await press('Beyond 8 h a day');
  await field('beyond hours').setValue('eight');
  const answer = server.answer;
  server.answer = (call) => {
    if (call.name !== 'tryOvertime') return answer(call);
    const errors = [{ field: 'terms.day[0].over', message: 'must be hours' }];
    throw new CallFailed({ title: 'Something is not right', errors });
  };
  await submit();
  expect(page.findAll('.field.wrong')).toHaveLength(1);
  expect(page.find('.effect').exists()).toBe(false);
  expect(sent('saveOvertime')).toEqual([]);
});

test('a rule is taken out in its place, and what the server refuses is told', async () => {
  const { page, press, submit, sent } = await open([rule('2026-01-01', 'Night crew')]);
  await press('Take out');
  await submit();
  const answer = server.answer;
  server.answer = (call) => {
    if (call.name === 'saveOvertime') throw new CallFailed({ title: 'There is no such record' });
    return answer(call);
  };
  await submit();
  expect(sent('saveOvertime')).toMatchObject([
    { terms: null, replaces: { from: '2026-01-01', group: 'Night crew' } },
  ]);
  expect(page.get('[role=alert]').text()).toBe('There is no such record');
});

test('whoever may only look changes nothing', async () => {
  const { page } = await open([rule('2026-01-01')], ['pay.see']);
  expect(page.findAll('button')).toHaveLength(0);
});
