/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { AgainstJson } from '@wergon/contract/compare';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import WhyPage from './WhyPage.vue';
import { bridgeOf, sayHoursMore, sayMoneyMore, sayWhy } from './whyWords.ts';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// What a canvas draws is looked at, not tested; its bars are.
jest.mock('vue-chartjs', () => ({
  Bar: { props: ['data'], template: '<p class="bars">{{ data.labels.join(" ") }}</p>' },
}));
jest.mock('chart.js', () => ({ Chart: { register: () => undefined } }));
enableAutoUnmount(afterEach);
beforeAll(() => {
  window.matchMedia = (() => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as never;
});

const says = {
  money: (amount: string) => `€${Number(amount).toFixed(2)}`,
  hours: (s: number) => `${s / 3600}h`,
};
const AGAINST: AgainstJson = {
  estimatedSeconds: 7200,
  estimatedCost: '80.00',
  differenceSeconds: 3600,
  difference: '31.00',
  causes: [
    { cause: 'setup', seconds: -1800, cost: '-20.00' },
    { cause: 'run', seconds: 5400, cost: '60.00' },
    { cause: 'rate', seconds: 0, cost: '-9.00' },
  ],
};

test.each([
  [1, '+€1.00', '+1h'],
  [-1, '−€1.00', '−1h'],
  [0, '€0.00', '0h'],
])('%i is said with its sign', (value, money, hours) => {
  expect(sayMoneyMore(String(value), says)).toBe(money);
  expect(sayHoursMore(value * 3600, says)).toBe(hours);
});

test('why is told the largest first, of time in hours and of what an hour costs in money', () => {
  expect(sayWhy(AGAINST.causes, says)).toBe('run +1.5h, setup −0.5h, rates −€9.00');
  expect(sayWhy([], says)).toBe('');
});

test.each<[unit: 'money' | 'hours', bars: readonly (readonly [string, number, number])[]]>([
  [
    'money',
    [
      ['estimated', 0, 80],
      ['setup', 80, 60],
      ['run', 60, 120],
      ['rates', 120, 111],
      ['actual', 0, 111],
    ],
  ],
  [
    'hours',
    [
      ['estimated', 0, 7200],
      ['setup', 7200, 5400],
      ['run', 5400, 10_800],
      ['actual', 0, 10_800],
    ],
  ],
])('a bridge in %s leads from the estimate to the actual, cause by cause', (unit, bars) => {
  expect(bridgeOf(AGAINST, unit, says, true).map(({ name, from, to }) => [name, from, to])).toEqual(bars);
});

const SUMS = {
  actualSeconds: 10_800,
  actualCost: '111.00',
  outsideSeconds: 0,
  outsideCost: '0.00',
  measuredSeconds: 5400,
  isFinished: true,
  current: AGAINST,
  first: AGAINST,
};
const WHY = {
  id: 'w1',
  number: '5001',
  title: 'Rewind',
  customer: 'Aker Dairy',
  costs: 'actual',
  ...SUMS,
  tasks: [{ id: 't1', position: 10, title: 'Strip', hasEstimate: true, wholeEstimateSeconds: 7200, ...SUMS }],
};
async function open(why: object) {
  signIn('work.see', 'rates.see');
  server.answer = () => ({ ...WHY, ...why });
  const opened = await openPage(WhyPage, { order: '/work/:order?' });
  await flushPromises();
  return opened;
}

test('how much in all, the cause that counts most, and each task with its own', async () => {
  const { page, cells, press } = await open({});
  expect(page.text()).toContain('+€31.00 in all');
  expect(page.text()).toContain('most of it: run, +€60.00');
  expect(cells()).toEqual([
    ['10 Strip', '2:00', '3:00', '+1:00', '+€31.00', 'run +1:30, setup −0:30, rates −€9.00', '50 %'],
  ]);
  expect(page.get('.bars').text()).toBe('estimated setup run rates actual');
  await press('Show hours');
  expect(page.get('.bars').text()).toBe('estimated setup run actual');
});

test('an order that goes on is told so far, and one that is as estimated says so', async () => {
  const none = { ...AGAINST, difference: '0.00', differenceSeconds: 0, causes: [] };
  const { page } = await open({ isFinished: false, current: none, first: none, tasks: [] });
  expect(page.text()).toContain('€0.00 so far');
  expect(page.get('.bars').text()).toBe('estimated so far actual');
  expect(page.text()).toContain('nothing differs yet');
  expect(page.text()).toContain('This order has no tasks yet.');
});

test('only where the estimate was changed it can be held against the first one', async () => {
  const first = {
    ...AGAINST,
    difference: '41.00',
    causes: [...AGAINST.causes, { cause: 'changed' as const, seconds: 900, cost: '10.00' }],
  };
  const { page, press } = await open({ first });
  await press('Against the first estimate');
  expect(page.text()).toContain('+€41.00 in all');
  expect(page.get('.bars').text()).toContain('changed estimate');
  const { page: plain } = await open({});
  expect(plain.text()).not.toContain('Against the first estimate');
});
