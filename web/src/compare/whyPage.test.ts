/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { Cause, CausedDifference, CauseShare } from '@wergon/core/compare';
import { toCents } from '@wergon/core/money';
import { toSeconds } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import WhyPage from './WhyPage.vue';
import { bridgeOf, sayHoursMore, sayMain, sayMoneyMore, sayWhy } from './whyWords.ts';

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
  HTMLCanvasElement.prototype.getContext = () => null;
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
const share = (cause: Cause, seconds: number, cents: number): CauseShare => ({
  cause,
  seconds: toSeconds(seconds),
  cents: toCents(cents),
});
const AGAINST: CausedDifference = {
  isFinished: true,
  expectedSeconds: toSeconds(7200),
  expectedCost: toCents(8000),
  differenceSeconds: toSeconds(3600),
  difference: toCents(3100),
  causes: [share('setup', -1800, -2000), share('run', 5400, 6000), share('rate', 0, -900)],
  includedSeconds: toSeconds(10_800),
  measuredSeconds: toSeconds(5400),
};

test.each([
  [1, '+€1.00', '+1h'],
  [-1, '−€1.00', '−1h'],
  [0, '€0.00', '0h'],
])('%i is said with its sign', (value, money, hours) => {
  expect(sayMoneyMore(value * 100, says)).toBe(money);
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
      ['estimated', 0, 8000],
      ['setup', 8000, 6000],
      ['run', 6000, 12_000],
      ['rates', 12_000, 11_100],
      ['actual', 0, 11_100],
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
  expect(bridgeOf(AGAINST, unit, says).map(({ name, from, to }) => [name, from, to])).toEqual(bars);
});

const SUMS = {
  actualSeconds: toSeconds(10_800),
  actualCost: toCents(11_100),
  outsideSeconds: toSeconds(0),
  outsideCost: toCents(0),
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
  price: null,
  ...SUMS,
  tasks: [
    {
      id: 't1',
      position: 10,
      title: 'Strip',
      hasEstimate: true,
      wholeEstimateSeconds: toSeconds(7200),
      wholeEstimatedCost: toCents(8000),
      ...SUMS,
    },
  ],
};
async function open(why: object) {
  signIn('work.see', 'rates.see');
  server.answer = () => ({ ...WHY, ...why });
  const opened = await openPage(WhyPage, { order: '/order/:order?' }, { order: 'w1' });
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

test('a cause leads to the tasks that have it, those first that it counts most in, and each of them to its labor', async () => {
  const task = (id: string, position: number, ...causes: CauseShare[]) => ({
    ...WHY.tasks[0],
    id,
    position,
    title: `Task ${position}`,
    current: { ...AGAINST, causes },
  });
  const { page, cells, press, router } = await open({
    tasks: [
      task('t1', 10, share('run', 1800, 2000)),
      task('t2', 20, share('setup', -1800, -2000)),
      task('t3', 30, share('run', 3600, 4000), share('rate', 0, -900)),
    ],
  });
  await press('run');
  expect(page.text()).toContain('Only run: 2 tasks');
  expect(cells().map(([name, , , , , why]) => [name, why])).toEqual([
    ['30 Task 30', 'run +1:00 +€40.00'],
    ['10 Task 10', 'run +0:30 +€20.00'],
  ]);
  await press('rates');
  expect(cells().map(([name, , , , , why]) => [name, why])).toEqual([['30 Task 30', 'rates −€9.00']]);
  await press('estimated');
  expect(cells()).toHaveLength(3);
  await press('setup');
  await press('Show all');
  expect(cells()).toHaveLength(3);
  expect(page.get('tbody a').attributes('href')).toBe('/order/w1?task=t1');
  await press('actual');
  await flushPromises();
  expect(router.currentRoute.value.name).toBe('order');
});

test('an order that goes on is told so far, and one that is as estimated says so', async () => {
  const none = { ...AGAINST, isFinished: false, difference: 0, differenceSeconds: 0, causes: [] };
  const { page } = await open({ isFinished: false, current: none, first: none, tasks: [] });
  expect(page.text()).toContain('€0.00 so far');
  expect(page.get('.bars').text()).toBe('estimated so far actual');
  expect(page.text()).toContain('nothing differs yet');
  expect(page.text()).toContain('This order has no tasks yet.');
});

test('only where the estimate was changed it can be held against the first one', async () => {
  const first = {
    ...AGAINST,
    difference: toCents(4100),
    causes: [...AGAINST.causes, share('changed', 900, 1000)],
  };
  const { page, press } = await open({ first });
  await press('Against the first estimate');
  expect(page.text()).toContain('+€41.00 in all');
  expect(page.get('.bars').text()).toContain('changed estimate');
  const { page: plain } = await open({});
  expect(plain.text()).not.toContain('Against the first estimate');
});

test('a sold order says what it is expected to earn, and what it came to once it is done', async () => {
  const { page } = await open({ price: toCents(20_000) });
  expect(page.text()).toContain('sold for €200.00, margin expected €120.00, came to €89.00');
  const { page: open2 } = await open({ price: toCents(5000), isFinished: false });
  expect(open2.text()).toContain('margin expected −€30.00');
  expect(open2.text()).not.toContain('came to');
});

describe('the sentence of a job', () => {
  const main = (cause: Cause, cents: number, seconds = 0, task: string | null = null) => ({
    ...share(cause, seconds, cents),
    task,
  });
  test.each<[what: string, difference: number, main: ReturnType<typeof main>[], told: string]>([
    ['nothing', 0, [], 'as estimated'],
    ['so little that it does not count', 160, [main('run', 160, 144)], 'held: within 2 % of the estimate'],
    ['more time at one task', 3100, [main('run', 6000, 5400, 'Winding')], '1.5h more at Winding'],
    ['less time, spread', -3100, [main('run', -6000, -5400)], '1.5h less'],
    [
      'setting up and rework',
      3100,
      [main('setup', 2000, 1800), main('rework', 1000, 900, 'Bake')],
      '0.5h more setup, 0.25h of rework at Bake',
    ],
    ['what an hour costs', 3100, [main('mix', 3100)], '€31.00 more for a dearer grade than planned'],
    [
      'and what it saves',
      -3100,
      [main('rate', -3100)],
      '€31.00 less for people who cost less than their grade',
    ],
  ])('%s', (_what, difference, causes, told) => {
    expect(sayMain({ ...AGAINST, difference: toCents(difference) }, causes, says)).toBe(told);
  });
});
