import { floorMore } from './floorMore.ts';

const FLOOR = {
  orderDetails: [{ order: 'o1', division: '', jobType: '', unit: 'Fan, Tarn', quantity: 24 }],
  taskPieces: [
    { task: 'a', good: 12, scrap: 0 },
    { task: 'b', good: 3, scrap: 2 },
  ],
  lanes: [
    { technician: 'ada', machine: 'Long lathe', reason: 'Tool broken' },
    { technician: 'bo', machine: null, reason: null },
  ],
} as unknown as NonNullable<Parameters<typeof floorMore>[0]>;
const task = (id: string, order = 'o1') => ({ id, order }) as never;

test('pieces are said of how many, scrap where there is any, and nothing where none were reported', () => {
  const { pieces } = floorMore(FLOOR);
  expect([pieces(task('a')), pieces(task('b')), pieces(task('c'))]).toEqual([
    '12 of 24 pieces',
    '3 of 24 pieces, 2 scrap',
    '',
  ]);
});

test('who is on no machine and gave no reason has nothing said', () => {
  const { doing, unit } = floorMore(FLOOR);
  expect([doing('ada'), doing('bo'), doing('cy'), unit('o1'), unit('o2')]).toEqual([
    'Long lathe, Tool broken',
    '',
    '',
    'Fan, Tarn',
    '',
  ]);
});

test('before the floor is known there is nothing to say', () => {
  const { doing, pieces } = floorMore(undefined);
  expect([doing('ada'), pieces(task('a'))]).toEqual(['', '']);
});
