import fc from 'fast-check';
import { toInstant } from '../time/instant.ts';
import { toSeconds } from '../time/seconds.ts';
import { reachedAt } from './reached.ts';

const stretch = (from: number, to: number, seconds = to - from) => ({
  from: toInstant(from),
  to: toInstant(to),
  seconds: toSeconds(seconds),
});

describe('when labor came to so many seconds', () => {
  test.each<
    [
      what: string,
      seconds: number,
      before: number,
      stretches: ReturnType<typeof stretch>[],
      told: number | null,
    ]
  >([
    ['in the middle of a stretch', 50, 0, [stretch(100, 200)], 150],
    ['with what was there before', 50, 30, [stretch(100, 200)], 120],
    ['after a pause', 50, 0, [stretch(100, 130), stretch(200, 300)], 220],
    ['two people bring it there sooner', 50, 0, [stretch(100, 200), stretch(100, 200)], 125],
    ['a shared stretch brings it there later', 50, 0, [stretch(100, 300, 100)], 200],
    ['exactly at an end', 100, 0, [stretch(100, 200)], 200],
    ['not yet', 101, 0, [stretch(100, 200)], null],
    ['there from the start', 50, 60, [stretch(100, 200)], 100],
    ['nothing at all', 50, 0, [], null],
  ])('%s', (_what, seconds, before, stretches, told) =>
    expect(reachedAt(seconds, before, stretches)).toBe(told),
  );
});

test('it is reached where all of it is enough, and no second before that', () => {
  const anyStretch = fc
    .tuple(fc.nat(500), fc.integer({ min: 1, max: 200 }))
    .map(([from, length]) => stretch(from, from + length));
  fc.assert(
    fc.property(
      fc.array(anyStretch, { maxLength: 8 }),
      fc.integer({ min: 1, max: 900 }),
      (stretches, seconds) => {
        const usedAt = (at: number) =>
          stretches.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to, at) - from), 0);
        const at = reachedAt(seconds, 0, stretches);
        if (at === null) expect(usedAt(1000)).toBeLessThan(seconds);
        else {
          expect(usedAt(at)).toBeGreaterThanOrEqual(seconds);
          expect(usedAt(at - 1)).toBeLessThan(seconds);
        }
      },
    ),
  );
});
