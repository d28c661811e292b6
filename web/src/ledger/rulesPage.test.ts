/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type * as Vue from 'vue';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { parseDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import RulesPage from './RulesPage.vue';

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
const said = (from: string | null, more: object = {}, by: string | null = 'Sol') => ({
  from: from === null ? null : day(from),
  rules: { ...DEFAULT_POLICY, ...more },
  by: from === null ? null : by,
  at: null,
});
const NOTHING = { isPast: false, people: [], orders: [], looseEnds: [], closedDays: 0 };
const both = (before: number, after: number) => ({ before, after });
const ADA = {
  technician: 'ada',
  name: 'Ada',
  days: 2,
  charged: both(36_000, 32_400),
  attended: both(36_000, 36_000),
};
const ORDER = { order: 'o1', number: '5001', title: 'Rewind', isOpen: true, seconds: both(7_200, 3_600) };

async function open(
  rules: object[],
  effect: object = NOTHING,
  pending = 0,
  rights: Parameters<typeof signIn> = ['shop.change'],
) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) =>
    name === 'rules' ? { rules, pending } : name === 'rulesEffect' ? effect : null;
  const opened = await openPage(RulesPage);
  const { page } = opened;
  const submit = async () => {
    await page.get('form.draft').trigger('submit');
    await flushPromises();
  };
  const submitWords = () => page.get('form.draft button[type=submit]').text();
  const sent = () => bodies().filter(([name]) => name !== 'rules');
  return { ...opened, submit, submitWords, sent };
}

test('rules stand with their days, and the ones in force today are marked', async () => {
  const { page, cells } = await open([
    said(null),
    said('2026-02-01', { gapMinutes: 15 }),
    said('2026-06-01'),
  ]);
  expect(cells().map((row) => [row[0], row[5]])).toEqual([
    ['the beginning', '5 min'],
    ['Sun 1 Feb 2026in force', '15 min'],
    ['Mon 1 Jun 2026', '5 min'],
  ]);
  expect(page.findAll('tr.holds').map((row) => row.text())).toEqual([expect.stringContaining('1 Feb')]);
});

test('whoever may only look changes nothing', async () => {
  const { page } = await open([said(null), said('2026-02-01')], NOTHING, 0, ['shop.see']);
  expect(page.findAll('button').map((each) => each.text())).toEqual([]);
});

test('new rules begin from those in force today, are looked at first, and set by a second press', async () => {
  const { page, press, field, submit, submitWords, sent } = await open([
    said(null),
    said('2026-02-01', { gapMinutes: 15 }),
  ]);
  await press('Change the rules from a day on');
  await field('Longest break, minutes').setValue('45');
  expect(submitWords()).toBe('See what they would do');
  await submit();
  expect(page.get('.effect').text()).toBe('No day gone by is touched.');
  expect(submitWords()).toBe('Set these rules');
  await submit();
  const change = { from: '2026-03-02', rules: { ...DEFAULT_POLICY, gapMinutes: 15, maxBreakMinutes: 45 } };
  expect(sent()).toEqual([
    ['rulesEffect', change],
    ['saveRules', { ...change, isPastAgreed: false }],
  ]);
  expect(page.find('form.draft').exists()).toBe(false);
});

test('what would change days gone by says whose, by how much, and asks for that very thing', async () => {
  const effect = {
    isPast: true,
    people: [ADA],
    orders: [{ ...ORDER, cost: { before: '80.00', after: '40.00' } }],
    looseEnds: [{ kind: 'forgotten-stop', count: both(0, 3) }],
    closedDays: 1,
  };
  const { page, press, field, submit, submitWords, sent } = await open([said(null)], effect);
  await press('Change the rules from a day on');
  await field('Longest stretch, hours').setValue('8');
  await submit();
  const text = page.get('.effect').text();
  expect(text).toContain('The days of one person change.');
  expect(text).toContain('missing stops: 0 now, 3 then');
  expect(text).toContain('One of these days is in a closed pay period');
  const rows = page
    .findAll('.effect tbody tr')
    .map((row) => row.findAll('th, td').map((cell) => cell.text()));
  expect(rows).toEqual([
    ['Ada', '2', '10:00', '9:00'],
    ['5001', 'Rewind · open', '2:00', '1:00', '€80.00', '€40.00'],
  ]);
  expect(submitWords()).toBe('Change the past');
  await submit();
  expect(sent().at(-1)?.[1]).toMatchObject({ isPastAgreed: true });
});

test('whoever may not see rates is shown no cost, and no empty column for it', async () => {
  const effect = { ...NOTHING, isPast: true, orders: [{ ...ORDER, cost: null }] };
  const { page, press, submit } = await open([said(null)], effect);
  await press('Change the rules from a day on');
  await submit();
  expect(page.findAll('.effect thead th').map((each) => each.text())).toEqual([
    'Order',
    '',
    'Hours now',
    'Hours then',
  ]);
});

test('rules that were changed after they were looked at are looked at anew', async () => {
  const { press, field, submit, submitWords, sent } = await open([said(null)]);
  await press('Change the rules from a day on');
  await submit();
  await field('A gap from, minutes').setValue('20');
  expect(submitWords()).toBe('See what they would do');
  await submit();
  expect(sent().map(([name]) => name)).toEqual(['rulesEffect', 'rulesEffect']);
});

test('rules of a day are taken out the same way: first what it does', async () => {
  const { page, press, submit, submitWords, sent } = await open([said(null), said('2026-02-01')], {
    ...NOTHING,
    isPast: true,
  });
  await press('Take out');
  expect(page.get('.effect').text()).toContain('No day since Sun 1 Feb comes out otherwise.');
  expect(submitWords()).toBe('Take these rules out');
  await submit();
  expect(sent()).toEqual([
    ['rulesEffect', { from: '2026-02-01', rules: null }],
    ['saveRules', { from: '2026-02-01', rules: null, isPastAgreed: true }],
  ]);
});

test('a figure that is none says so when it is left; what the server refuses stands at its field', async () => {
  const { page, press, field, submit } = await open([said(null)]);
  const told = () => page.findAll('.told.attention').map((each) => each.text());
  await press('Change the rules from a day on');
  await field('Longest shift, hours').setValue('0');
  await field('Longest shift, hours').trigger('focusout');
  expect(told()).toEqual(['is less than 1']);
  await field('Longest shift, hours').setValue('16');
  server.answer = () => {
    throw new CallFailed({ title: 'no', errors: [{ field: 'from', message: 'is more than a year later' }] });
  };
  await submit();
  expect(told()).toEqual(['is more than a year later']);
});

test('days that are being worked out anew are counted until they are done', async () => {
  const { page } = await open([said(null)], NOTHING, 12);
  expect(page.get('[role=status]').text()).toBe('The days of 12 people are being worked out anew.');
});
