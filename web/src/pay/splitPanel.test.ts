/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import { toCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { toDay, toSeconds } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import SplitPanel from './SplitPanel.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const classes = (straight: number, overtime: number, double = 0) => ({
  straight: toSeconds(straight * 3600),
  overtime: toSeconds(overtime * 3600),
  double: toSeconds(double * 3600),
});
const told = (more: object = {}) => ({
  ...{ technician: 'ada', stamp: 's', paidSeconds: toSeconds(36_000), split: 'none' },
  ...{ now: classes(8, 2), byRule: classes(8, 2), decided: null, refusal: null },
  premium: { now: toCents(3_600), byRule: toCents(3_600) },
  orders: [{ order: 'o1', number: '1001', premium: toCents(3_600) }],
  ...more,
});
async function open(answer: object) {
  signIn('pay.see', 'time.approve', 'rates.see');
  server.calls = [];
  server.answer = ({ name }) =>
    name === 'daySplit'
      ? answer
      : name === 'trySplit'
        ? { premium: { before: toCents(3_600), after: toCents(14_400) } }
        : null;
  const panel = { technician: 'ada' as TechnicianId, name: 'Ada', day: toDay(20_515) };
  const opened = await openPage(
    { render: () => h(SplitPanel, panel) },
    { 'person-day': '/day/:technician/:day?' },
  );
  const type = async (words: string, text: string) => {
    const label = opened.page.findAll('label').find((each) => each.text() === words);
    const input = label?.find('input');
    await input?.setValue(text);
    await input?.trigger('change');
    await flushPromises();
  };
  const sent = (route: string) =>
    bodies()
      .filter(([name]) => name === route)
      .map(([, body]) => body);
  return { ...opened, type, sent };
}

test('the rule’s split is said with what it adds to which jobs, and taken in one press', async () => {
  const { page, press, sent } = await open(told());
  expect(page.text()).toContain('The rule makes it 2:00 overtime. It adds €36.00 to 1001.');
  await press('Take the rule’s split');
  expect(sent('decideSplits')).toEqual([
    {
      days: [{ technician: 'ada', day: '2026-03-03', stamp: 's', classes: null }],
      reason: 'as the rule has it',
    },
  ]);
});

test('another split must add up, says what it would cost, and is decided with a reason', async () => {
  const { page, press, type, sent } = await open(told());
  await press('Another split');
  await type('straight', '6');
  expect(page.text()).toContain('2:00 still to divide');
  await type('double', '3:00');
  expect(page.text()).toContain('1:00 too much');
  await type('overtime', 'two');
  expect(page.text()).toContain('Hours as in 7:30 or 7.5.');
  await type('overtime', '1');
  expect(page.text()).toContain('The week would cost €108.00 more.');
  await type('Why', 'agreed');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(sent('decideSplits')).toMatchObject([
    { days: [{ classes: { straight: 21_600, overtime: 3_600, double: 10_800 } }], reason: 'agreed' },
  ]);
});

test('a decided split names who decided it beside what the rule would make, and can be left to the rule again', async () => {
  const { page, press, sent } = await open(
    told({
      ...{ split: 'decided', now: classes(6, 0, 4) },
      decided: { ...classes(6, 0, 4), by: 'Berit', reason: 'agreed' },
    }),
  );
  expect(page.text()).toContain('Berit decided: 4:00 double (agreed).');
  expect(page.text()).toContain('The rule would make it 2:00 overtime.');
  await press('By the rule again');
  expect(sent('resetSplits')).toEqual([{ days: [{ technician: 'ada', day: '2026-03-03' }] }]);
});

test.each([
  ['closed', 'This day lies in a closed pay period.'],
  ['open', 'This day still goes on.'],
  ['own', 'Somebody else decides on your own time.'],
])('a day that is %s says so and offers nothing', async (refusal, words) => {
  const { page } = await open(told({ refusal }));
  expect(page.text()).toContain(words);
  expect(page.findAll('button')).toHaveLength(0);
});

test('whoever may not see rates is told of no money', async () => {
  const { page } = await open(told({ premium: null, orders: [] }));
  expect(page.text()).toContain('The rule makes it 2:00 overtime.');
  expect(page.text()).not.toContain('€');
});
