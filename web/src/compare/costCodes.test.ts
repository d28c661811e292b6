/** @jest-environment jsdom */
import { enableAutoUnmount } from '@vue/test-utils';
import { h } from 'vue';
import type { TaskRow } from '@wergon/contract/compare';
import { signIn } from '../kit/desk.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import CostCodes from './CostCodes.vue';

enableAutoUnmount(afterEach);
const HOUR = 3600;
const task = (costCode: string, estimated: number, used: number, more: object = {}) =>
  ({
    costCode,
    isAccepted: true,
    lines: [],
    comparison: { estimatedSeconds: estimated * HOUR, actualSeconds: used * HOUR, outsideSeconds: 0 },
    ...more,
  }) as unknown as TaskRow;
async function rows(tasks: readonly TaskRow[]) {
  signIn('work.see');
  const { page } = await openPage({ render: () => h(CostCodes, { tasks }) });
  return page.findAll('tbody tr').map((each) => each.findAll('th, td').map((cell) => cell.text()));
}

test('tasks of one code are summed; what has none stands as such', async () => {
  expect(await rows([task('4100', 2, 1), task('4100', 1, 2), task('', 1, 0)])).toEqual([
    ['4100', '3:00', '3:00'],
    ['no cost code', '1:00', '0:00'],
  ]);
});

test('a shop without codes sees nothing of it', async () => {
  expect(await rows([task('', 2, 1)])).toEqual([]);
});

test('what was declined and never worked on is no part of it', async () => {
  const declined = { isAccepted: false };
  expect(await rows([task('4100', 2, 1), task('4200', 9, 0, declined)])).toEqual([['4100', '2:00', '1:00']]);
});
