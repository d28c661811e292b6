/** @jest-environment jsdom */
import { VueQueryPlugin } from '@tanstack/vue-query';
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils';
import { addDays, daysFrom, parseDay, toSeconds } from '@wergon/core/time';
import { signIn } from '../../kit/desk.fixture.ts';
import { CallFailed, server } from '../../kit/fakeServer.fixture.ts';
import WallWeek from './WallWeek.vue';

jest.mock('../../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../../kit/callRoute.ts'),
  ...jest.requireActual<object>('../../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const parsed = parseDay('2026-03-02');
if (!parsed.ok) throw new Error('day');
const monday = parsed.value;
type Day = readonly [jobCount: number, differenceSeconds: number];
type Week = readonly [taskCount: number, estimated: number, included: number];

async function open(days: readonly Day[], weeks: readonly Week[]) {
  signIn('work.see');
  server.answer = () => ({
    days: daysFrom(monday, 7).map((day, i) => ({
      day,
      jobCount: days[i]?.[0] ?? 0,
      differenceSeconds: toSeconds(days[i]?.[1] ?? 0),
    })),
    weeks: weeks.map(([taskCount, estimated, included], i) => ({
      firstDay: addDays(monday, (i - 3) * 7),
      taskCount,
      estimatedSeconds: toSeconds(estimated),
      includedSeconds: toSeconds(included),
    })),
  });
  const page = mount(WallWeek, {
    global: {
      plugins: [VueQueryPlugin],
      stubs: {
        WallBars: {
          props: ['bars', 'line'],
          template:
            '<ol><li v-for="b in bars">{{ b.name }} {{ b.length === null ? "-" : b.words }}</li></ol>',
        },
      },
    },
  });
  await flushPromises();
  const texts = (selector: string) => page.findAll(selector).map((each) => each.text().replace(/\s+/g, ' '));
  return { page, texts };
}

const NONE: Week = [0, 0, 0];
test('the week is said in hours, day by day, and its efficiency beside those of the weeks before', async () => {
  const { texts } = await open(
    [
      [2, 5400],
      [0, 0],
      [1, -1800],
    ],
    [NONE, [3, 3600, 4000], [1, 100, 100], [7, 7200, 8000]],
  );
  expect(texts('h2')).toEqual(['1:00 more than estimated', '90 % efficiency this week']);
  expect(texts('p')).toEqual(['3 jobs finished this week', 'of 7 finished tasks']);
  expect(texts('li').slice(0, 3)).toEqual(['Mon +1:30', 'Tue -', 'Wed −0:30']);
  expect(texts('li').slice(-4)).toEqual(['week 7 -', 'week 8 90 %', 'week 9 100 %', 'this week 90 %']);
});

test.each<[days: readonly Day[], words: string]>([
  [[[1, -3600]], '1:00 less than estimated'],
  [
    [
      [1, 3600],
      [1, -3600],
    ],
    'as long as estimated',
  ],
  [[[1, 59]], 'as long as estimated'],
  [[], 'No job finished yet this week'],
])('%j: %s', async (days, words) => {
  const { texts } = await open(days, [NONE, NONE, NONE, NONE]);
  expect(texts('h2')).toEqual([words, 'No task with an estimate finished yet this week']);
});

test('a server that does not answer is said', async () => {
  const { page } = await open([], []);
  page.unmount();
  server.answer = () => {
    throw new CallFailed({ title: 'gone' });
  };
  const again = mount(WallWeek, {
    global: {
      plugins: [[VueQueryPlugin, { queryClientConfig: { defaultOptions: { queries: { retry: false } } } }]],
    },
  });
  await flushPromises();
  expect(again.text()).toBe('The server does not answer.');
});
