/** @jest-environment jsdom */
import { enableAutoUnmount } from '@vue/test-utils';
import { h } from 'vue';
import type { Job } from '@wergon/core/floor';
import { signIn } from '../kit/desk.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import JobTasks from './JobTasks.vue';

enableAutoUnmount(afterEach);
const HOUR = 3600;
const task = (title: string, used: number, estimated: number | null, more: object = {}) => ({
  task: { id: title, title, isFinished: false, ...more },
  used: { run: used * HOUR },
  on: [],
  comparison: {
    usedSeconds: used * HOUR,
    estimatedSeconds: estimated === null ? null : estimated * HOUR,
    leftSeconds: estimated === null ? null : Math.max(0, estimated - used) * HOUR,
    overSeconds: estimated === null ? null : Math.max(0, used - estimated) * HOUR,
    isLow: false,
  },
});
const told = {
  unit: () => '',
  doing: () => '',
  stages: () => [],
  pieces: ({ id }: { id: string }) => (id === 'Coils' ? '12 of 24 pieces' : ''),
};
async function open(tasks: object[], more: object = {}) {
  signIn('work.see');
  const job = {
    order: { id: 'w1', number: '1001', title: 'Rewind', customer: 'Aker Dairy', state: 'released' },
    tasks,
    usedSeconds: 3 * HOUR,
    estimatedSeconds: 4 * HOUR,
    ...more,
  } as unknown as Job;
  const { page } = await openPage({ render: () => h(JobTasks, { job, more: told }) });
  return page;
}

test.each<[each: object, words: string, why: string]>([
  [task('Strip', 1, 4), '3:00 left', 'open work has hours left'],
  [task('Strip', 5, 4), '1:00 over', 'over is said, and seen'],
  [task('Strip', 3, 4, { isFinished: true }), 'done', 'what is finished has nothing left'],
  [task('Strip', 5, 4, { isFinished: true }), '1:00 over', 'and is over all the same'],
  [task('Strip', 2, null), '2:00', 'without an estimate only what was used'],
])('%# says “%s”: %s', async (each, words) => {
  const page = await open([each]);
  expect(page.get('.left').text()).toBe(words);
  expect(page.get('.left').classes('attention')).toBe(words.endsWith('over'));
});

test('who is on it stands with the task; an order that is held says so', async () => {
  const page = await open([{ ...task('Strip', 1, 4), on: ['Ada', 'Bo'] }], {
    order: { id: 'w1', number: '1001', title: 'Rewind', customer: 'Aker Dairy', state: 'on-hold' },
  });
  expect(page.get('.on').text()).toBe('Ada and Bo');
  expect(page.get('.head').text()).toContain('Aker Dairy, on hold');
});

test.each<[used: number, estimated: number | null, isSeen: boolean]>([
  [3, 4, false],
  [5, 4, true],
  [5, null, false],
])('a job of %d hours against %p stands out: %s', async (used, estimated, isSeen) => {
  const page = await open([], {
    usedSeconds: used * HOUR,
    estimatedSeconds: estimated === null ? null : estimated * HOUR,
  });
  expect(page.get('.sums').classes('attention')).toBe(isSeen);
});

test('pieces stand with the task that has some', async () => {
  const page = await open([task('Coils', 1, 4), task('Strip', 1, 4)]);
  expect(page.findAll('li').map((each) => each.text().includes('12 of 24 pieces'))).toEqual([true, false]);
});
