/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import { toDay, toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import LineCost from './LineCost.vue';
import type { ToldLine } from './figures.ts';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);
beforeEach(() => (server.calls = []));

const LINE = {
  technician: 'ada',
  workType: 'run',
  day: toDay(20_605),
  seconds: 3600,
  cost: '36.00',
  costs: 'actual',
  parts: null,
  set: null,
} as unknown as ToldLine;
const SET = {
  cost: '80.00',
  seconds: 3600,
  byRate: '36.00',
  reason: 'agreed',
  by: 'Sol',
  at: toInstant(1_780_300_000),
};
const KEY = { technician: 'ada', target: 'winding', workType: 'run', day: '2026-06-01' };

async function open(line: Partial<ToldLine>, ...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  return openPage({ render: () => h(LineCost, { line: { ...LINE, ...line }, target: 'winding' }) });
}

test.each<[who: string, rights: Parameters<typeof signIn>, seen: boolean]>([
  ['who sees rates and puts time right', ['rates.see', 'ledger.correct'], true],
  ['who only sees rates', ['rates.see'], false],
  ['who sees no rates', ['ledger.correct'], false],
])('%s may set a cost: %j, %s', async (_who, rights, seen) => {
  const { page } = await open({}, ...rights);
  expect(page.text().includes('Set the cost by hand')).toBe(seen);
});

test('a cost is set with its reason, for the time that was seen', async () => {
  const { press, field, page } = await open({}, 'rates.see', 'ledger.correct');
  await press('Set the cost by hand');
  expect((field('Cost of this line').element as HTMLInputElement).value).toBe('36.00');
  await field('Cost of this line').setValue('80.00');
  await press('Set the cost');
  expect(bodies()).toEqual([]);
  await field('Why').setValue('agreed');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies()).toEqual([['setCost', { ...KEY, seconds: 3600, amount: '80.00', reason: 'agreed' }]]);
  expect(page.find('form').exists()).toBe(false);
});

test('opened again the form begins with what the line costs, not with what was typed before', async () => {
  const { press, field } = await open({}, 'rates.see', 'ledger.correct');
  await press('Set the cost by hand');
  await field('Cost of this line').setValue('99.00');
  await press('Leave it as it is');
  await press('Set the cost by hand');
  expect((field('Cost of this line').element as HTMLInputElement).value).toBe('36.00');
});

test('who set it and why is told beside what its rate says, and one press lets that count again', async () => {
  const { press, page } = await open({ set: SET }, 'rates.see', 'ledger.correct');
  expect(page.text()).toContain('€80.00, set by Sol on');
  expect(page.text()).toContain('“agreed”. By its rate it would cost €36.00.');
  await press('Back to its rate');
  expect(bodies()).toEqual([['resetCost', KEY]]);
});

test.each<[what: string, set: ToldLine['set'], words: string]>([
  ['other time', { ...SET, seconds: 1800 }, 'It was set for 0:30; the time is 1:00 now'],
  ['a day without a rate', { ...SET, byRate: null }, 'would cost nothing, as there is no rate'],
])('set for %s: it says so', async (_what, set, words) => {
  const { page } = await open({ set }, 'rates.see');
  expect(page.text()).toContain(words);
});

test('what overtime adds is told, and what is set is what the hours themselves cost', async () => {
  const parts = { straight: '36.00', premium: '18.00', trueUp: '-1.50' };
  const { press, field, page } = await open({ cost: '52.50', parts }, 'rates.see', 'ledger.correct');
  expect(page.text()).toContain('€36.00 for the hours, €18.00 for overtime, -€1.50 beyond, as payroll paid.');
  await press('Set the cost by hand');
  expect((field('Cost of this line, without overtime').element as HTMLInputElement).value).toBe('36.00');
});
