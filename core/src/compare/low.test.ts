import fc from 'fast-check';
import { toSeconds } from '../time/index.ts';
import { isLow, nearFrom } from './balance.ts';

const HOUR = 3600;
const low = (used: number, left: number | null, over: number | null, warnAt: number) =>
  isLow(
    {
      used: toSeconds(used),
      left: left === null ? null : toSeconds(left),
      over: over === null ? null : toSeconds(over),
    },
    warnAt,
  );

test.each<
  [used: number, left: number | null, over: number | null, warnAt: number, isSaid: boolean, why: string]
>([
  [8 * HOUR, 2 * HOUR, 0, 80, true, 'just the share'],
  [8 * HOUR - 1, 2 * HOUR + 1, 0, 80, false, 'a second less'],
  [9 * HOUR, HOUR, 0, 80, true, 'more than the share'],
  [0, 10 * HOUR, 0, 1, false, 'nothing used'],
  [10 * HOUR, 0, 0, 80, false, 'used up: it is even, or finished'],
  [11 * HOUR, 0, HOUR, 80, false, 'over is more than low'],
  [10 * HOUR, HOUR, 59, 80, true, 'over by less than is said'],
  [9 * HOUR, null, null, 80, false, 'nobody estimated it'],
  [9 * HOUR + 3599, 1, 0, 100, false, 'a share of all of it is never reached while something is left'],
  [1, 99, 0, 1, true, 'a share of one percent'],
])('%i s used, %p left, %p over, from %i %%: low %s (%s)', (used, left, over, warnAt, isSaid) => {
  expect(low(used, left, over, warnAt)).toBe(isSaid);
});

test('once low, more work keeps it low until it is used up; a higher share never says it sooner', () => {
  const share = fc.integer({ min: 1, max: 100 });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 500_000 }),
      fc.nat(500_000),
      share,
      share,
      (estimate, used, a, b) => {
        fc.pre(used < estimate);
        const isLowAt = (seconds: number, warnAt: number) => low(seconds, estimate - seconds, 0, warnAt);
        if (isLowAt(used, a) && used + 1 < estimate) expect(isLowAt(used + 1, a)).toBe(true);
        if (isLowAt(used, Math.max(a, b))) expect(isLowAt(used, Math.min(a, b))).toBe(true);
      },
    ),
  );
});

test('a task runs low from the second on from which it is said to have been near', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500_000 }), fc.integer({ min: 1, max: 99 }), (estimate, warnAt) => {
      const from = nearFrom(toSeconds(estimate), warnAt, false);
      const isLowAt = (used: number) =>
        isLow({ used: toSeconds(used), left: toSeconds(estimate - used), over: toSeconds(0) }, warnAt);
      if (from < estimate) expect(isLowAt(from)).toBe(true);
      expect(isLowAt(from - 1)).toBe(false);
      expect(nearFrom(toSeconds(estimate), warnAt, true)).toBe(estimate);
    }),
  );
});
