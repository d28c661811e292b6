import fc from 'fast-check';
import { TARGETS, TECHNICIANS } from '../ledger/shop.fixture.ts';
import { costParts } from '../ledger/lines.ts';
import { toCents, toRate } from '../money/index.ts';
import { addDays, toDay } from '../time/index.ts';
import type { ClosedLine } from './adjustments.ts';
import { notJobsCost, trueUpOf } from './trueUp.ts';

const DAY = toDay(20_514);
const [ada] = TECHNICIANS as [ClosedLine['technician']];
const [strip, winding] = TARGETS as [ClosedLine['target'], ClosedLine['target']];
const line = (
  target: ClosedLine['target'],
  seconds: number,
  cost: number | null,
  premium = 0,
): ClosedLine => ({
  ...{ technician: ada, shiftDay: DAY, day: DAY, target, workType: 'run', seconds },
  cost: cost === null ? null : toCents(cost),
  premium: toCents(premium),
});

test.each<
  [what: string, amount: number, notJobs: number, lines: ClosedLine[], adjusted: ClosedLine[], told: number[]]
>([
  ['as costed: nothing', 300, 0, [line(strip, 60, 100), line(winding, 60, 200)], [], [0]],
  ['by straight cents', 390, 0, [line(strip, 60, 100), line(winding, 60, 200)], [], [30, 60, 0]],
  ['overtime bears none of it', 430, 0, [line(strip, 60, 200, 100), line(winding, 60, 200)], [], [10, 20, 0]],
  ['less than costed', 240, 0, [line(strip, 60, 100), line(winding, 60, 200)], [], [-20, -40, 0]],
  [
    'what is no job’s comes off first',
    390,
    60,
    [line(strip, 60, 100), line(winding, 60, 200)],
    [],
    [10, 20, 0],
  ],
  ['adjustments were paid with it', 390, 0, [line(strip, 60, 300)], [line(winding, 60, 60)], [30, 0]],
  [
    'by seconds where nothing has a cost',
    90,
    0,
    [line(strip, 60, null), line(winding, 120, null)],
    [],
    [30, 60, 0],
  ],
  [
    'a cent left over goes to the larger rest',
    101,
    0,
    [line(strip, 60, 50), line(winding, 60, 50)],
    [],
    [1, 0],
  ],
  ['on no job where there is no line', 100, 40, [], [], [60]],
])('what payroll paid: %s', (_what, amount, notJobs, lines, adjusted, told) => {
  const found = trueUpOf(toCents(amount), toCents(notJobs), lines, adjusted);
  expect([...found.lines.map(({ trueUp }) => trueUp), found.overhead]).toEqual(told);
});

test.each<[what: string, seconds: [ahead: number, seconds: number][], unborne: number, cents: number]>([
  ['nothing', [], 0, 0],
  [
    'each day at its rate',
    [
      [0, 3600],
      [3, 1800],
    ],
    0,
    3600 + 2000,
  ],
  [
    'rounded once a day',
    [
      [0, 1],
      [0, 1],
    ],
    0,
    2,
  ],
  ['what was taken back', [[0, -3600]], 0, -3600],
  ['a day without a rate', [[-1, 3600]], 0, 0],
  ['overtime that no line bears', [[0, 3600]], 700, 4300],
])('no job’s: %s', (_what, seconds, unborne, cents) => {
  // 36.00 an hour, and 40.00 from the third day on.
  const rates = [
    { from: DAY, rate: toRate(360_000) },
    { from: addDays(DAY, 2), rate: toRate(400_000) },
  ];
  const own = seconds.map(([ahead, each]) => ({ day: addDays(DAY, ahead), seconds: each }));
  expect(notJobsCost(own, rates, unborne)).toBe(cents);
});

test('lines and what no line bears add up to the amount, whatever it is', () => {
  const anyLines = fc.array(
    fc.record({
      technician: fc.constant(ada),
      shiftDay: fc.nat(6).map((n) => addDays(DAY, n)),
      day: fc.constant(DAY),
      target: fc.constantFrom(strip, winding),
      workType: fc.constantFrom('run' as const, 'setup' as const),
      seconds: fc.integer({ min: -9_000, max: 40_000 }),
      cost: fc.option(fc.integer({ min: -9_000, max: 90_000 }).map(toCents)),
      premium: fc.integer({ min: 0, max: 4_000 }).map(toCents),
    }),
    { maxLength: 8 },
  );
  const anyCents = fc.nat(900_000).map(toCents);
  fc.assert(
    fc.property(anyCents, anyCents, anyLines, anyLines, (amount, notJobs, lines, adjustments) => {
      const { lines: shared, overhead } = trueUpOf(amount, notJobs, lines, adjustments);
      const sum = (of: readonly number[]) => of.reduce((total, each) => total + each, 0);
      const costed = sum([...lines, ...adjustments].map(({ cost }) => cost ?? 0));
      expect(notJobs + costed + overhead + sum(shared.map(({ trueUp }) => trueUp))).toBe(amount);
      // No line is given something while another has it taken.
      expect(new Set(shared.map(({ trueUp }) => Math.sign(trueUp))).size).toBeLessThan(2);
    }),
  );
});

test('a line’s cost is its parts; where no rate holds nothing of it is known', () => {
  expect(costParts(toCents(100), 20, -5)).toEqual({ cost: 115, premium: 20, trueUp: -5 });
  expect(costParts(toCents(100), 0, 0)).toEqual({ cost: 100 });
  expect(costParts(null, 20, 5)).toEqual({ cost: null });
});
