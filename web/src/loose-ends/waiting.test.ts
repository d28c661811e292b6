/** @jest-environment jsdom */
import { enableAutoUnmount } from '@vue/test-utils';
import { toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import WaitingSlips from './WaitingSlips.vue';
import WaitingTasks from './WaitingTasks.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const OTHERS = { slips: '/slips', written: '/written' };
const hoursAgo = (hours: number) => ({ at: toInstant(Math.floor(Date.now() / 1000) - hours * 3600) });

test.each<[drafts: object[], words: string | RegExp]>([
  [[], ''],
  [[hoursAgo(2)], /^1 paper slip still lacks something, the oldest for 2:0\d\. Open paper slips$/],
  [[hoursAgo(1), hoursAgo(5), hoursAgo(2)], /^3 paper slips still lack something, the oldest for 5:0\d\./],
])('of %j slips is said %s', async (drafts, words) => {
  signIn('ledger.correct');
  server.answer = () => ({ drafts });
  const { page } = await openPage(WaitingSlips, OTHERS);
  expect(page.text().replace(/\s+/g, ' ')).toMatch(words === '' ? /^$/ : words);
});

test('who may record nothing is not told of slips, nor is anybody asked', async () => {
  signIn('reconcile.see');
  server.calls = [];
  server.answer = () => ({ drafts: [hoursAgo(2)] });
  const { page } = await openPage(WaitingSlips, OTHERS);
  expect([page.text(), server.calls]).toEqual(['', []]);
});

test.each<[seconds: number[], words: string]>([
  [[], ''],
  [[2700], '1 piece of work was written down at a station and has no task, 0:45.'],
  [[2700, 900], '2 pieces of work were written down at stations and have no task, 1:00.'],
])('of work without a task that comes to %j is said “%s”', async (seconds, words) => {
  signIn('reconcile.see');
  server.answer = () => ({ written: seconds.map((each) => ({ seconds: each })) });
  const { page } = await openPage(WaitingTasks, OTHERS);
  expect(page.text().replace(/\s+/g, ' ').replace(' Tie them to their tasks', '')).toBe(words);
});
