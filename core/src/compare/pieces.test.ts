import fc from 'fast-check';
import { orderPieces, piecesPerRunHour, sumByCostCode } from './pieces.ts';
import type { OrderPieces } from './pieces.ts';

test.each<[tasks: readonly ([good: number, scrap: number] | null)[], of: OrderPieces | null, why: string]>([
  [[], null, 'no task'],
  [[null, null], null, 'nothing reported'],
  [[[10, 2], null], { good: 10, scrap: 2, after: 't0' }, 'the only one that reports'],
  [
    [[10, 2], [7, 1], null],
    { good: 7, scrap: 3, after: 't1' },
    'the last that was reported of; scrap of all',
  ],
  [
    [
      [10, 0],
      [0, 3],
    ],
    { good: 0, scrap: 3, after: 't1' },
    'all lost on the last',
  ],
])('tasks %j make %j (%s)', (tasks, of) => {
  expect(
    orderPieces(
      tasks.map((each, i) => ({ title: `t${i}`, pieces: each && { good: each[0], scrap: each[1] } })),
    ),
  ).toEqual(of);
});

test.each<[good: number, runSeconds: number, rate: number | null]>([
  [12, 7200, 6],
  [0, 7200, null],
  [12, 0, null],
])('%i good in %i seconds are %j an hour', (good, runSeconds, rate) =>
  expect(piecesPerRunHour({ good, scrap: 0 }, runSeconds)).toBe(rate),
);

const total = (figures: readonly number[]) => figures.reduce((sum, figure) => sum + figure, 0);

test('what stands by cost code adds up to all tasks, each code once, and to nothing where there are none', () => {
  const task = fc.record({
    costCode: fc.constantFrom('', 'A1', 'B2', 'C3'),
    estimatedSeconds: fc.nat(100_000),
    actualSeconds: fc.nat(100_000),
    outsideSeconds: fc.nat(100_000),
  });
  fc.assert(
    fc.property(fc.array(task, { maxLength: 12 }), (tasks) => {
      const rows = sumByCostCode(tasks);
      expect(new Set(rows.map(({ costCode }) => costCode)).size).toBe(rows.length);
      if (tasks.every(({ costCode }) => costCode === '')) expect(rows).toEqual([]);
      else
        expect([
          total(rows.map((row) => row.estimatedSeconds)),
          total(rows.map((row) => row.usedSeconds)),
        ]).toEqual([
          total(tasks.map((each) => each.estimatedSeconds)),
          total(tasks.map((each) => each.actualSeconds + each.outsideSeconds)),
        ]);
    }),
  );
});
