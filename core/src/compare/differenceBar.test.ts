import fc from 'fast-check';
import { toCents } from '../money/money.ts';
import { toSeconds } from '../time/seconds.ts';
import { CAUSES } from './causes.ts';
import type { Cause, CausedDifference } from './causes.ts';
import { differenceScale, drawDifference, middleOf } from './differenceBar.ts';

type Share = [cause: Cause, cents: number, seconds?: number];
const of = (...shares: Share[]): CausedDifference => ({
  isFinished: true,
  expectedSeconds: toSeconds(0),
  expectedCost: toCents(0),
  difference: toCents(shares.reduce((sum, [, cents]) => sum + cents, 0)),
  differenceSeconds: toSeconds(0),
  causes: shares.map(([cause, cents, seconds = 0]) => ({
    cause,
    cents: toCents(cents),
    seconds: toSeconds(seconds),
  })),
  includedSeconds: toSeconds(0),
  measuredSeconds: toSeconds(0),
});
const drawn = (bar: CausedDifference, among: CausedDifference[], unit: 'money' | 'hours' = 'money') =>
  drawDifference(bar, differenceScale(among, unit), unit)
    .map(({ cause, from, to }) => `${cause} ${Math.round(from * 100)}-${Math.round(to * 100)}`)
    .join(', ');

describe('a bar from the middle line', () => {
  const both = of(['run', 60], ['rework', 20], ['rate', -20]);
  test.each<[what: string, told: string, expected: string]>([
    [
      'more to the right, less to the left, outwards from the line',
      drawn(both, [both]),
      'run 20-80, rework 80-100, rate 0-20',
    ],
    ['on the scale of the longest', drawn(of(['run', 40]), [both]), 'run 20-60'],
    ['nothing differs', drawn(of(), [of()]), ''],
    ['only more still leaves room for less', drawn(of(['run', 88]), [of(['run', 88])]), 'run 11-100'],
    [
      'of what an hour costs there are no hours',
      drawn(of(['rate', 50], ['run', 0, 3600]), [of(['run', 0, 3600])], 'hours'),
      'run 11-100',
    ],
  ])('%s', (_what, told, expected) => expect(told).toBe(expected));
});

test('no bar reaches past its scale, and each is as long as its causes', () => {
  const anyShare = fc.tuple(
    fc.constantFrom(...CAUSES),
    fc.integer({ min: -500, max: 500 }),
    fc.integer({ min: -500, max: 500 }),
  );
  const anyBar = fc.array(anyShare, { maxLength: 5 }).map((shares) => of(...shares));
  fc.assert(
    fc.property(
      fc.array(anyBar, { minLength: 1, maxLength: 6 }),
      fc.constantFrom('money' as const, 'hours' as const),
      (bars, unit) => {
        const scale = differenceScale(bars, unit);
        const middle = middleOf(scale);
        for (const bar of bars) {
          const pieces = drawDifference(bar, scale, unit);
          for (const { from, to } of pieces) {
            expect(from).toBeGreaterThan(-1e-9);
            expect(to).toBeLessThan(1 + 1e-9);
            expect(to <= middle + 1e-9 || from >= middle - 1e-9).toBe(true);
          }
          const net = pieces.reduce(
            (sum, { from, to }) => sum + (to <= middle + 1e-9 ? from - to : to - from),
            0,
          );
          const told = bar.causes.reduce(
            (sum, { cents, seconds }) => sum + (unit === 'money' ? cents : seconds),
            0,
          );
          expect(net * (scale.less + scale.more)).toBeCloseTo(told, 5);
        }
      },
    ),
  );
});
