import fc from 'fast-check';
import { addDays, formatDay, parseDay, toDay } from './day.ts';
import { PERIODS, monthOf, movePeriod, periodAround } from './period.ts';
import type { PeriodKind } from './period.ts';

const day = (text: string) => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};

test.each<[kind: PeriodKind, of: string, from: string, to: string]>([
  ['day', '2026-03-04', '2026-03-04', '2026-03-04'],
  ['week', '2026-03-04', '2026-03-02', '2026-03-08'],
  ['weeks', '2026-03-04', '2026-01-12', '2026-03-08'],
  ['month', '2026-02-14', '2026-02-01', '2026-02-28'],
  ['month', '2028-02-29', '2028-02-01', '2028-02-29'],
  ['quarter', '2026-03-31', '2026-01-01', '2026-03-31'],
  ['quarter', '2026-11-30', '2026-10-01', '2026-12-31'],
  ['year', '2026-07-01', '2026-01-01', '2026-12-31'],
])('the %s of %s goes from %s to %s', (kind, of, from, to) => {
  const { firstDay, lastDay } = periodAround(kind, day(of));
  expect([formatDay(firstDay), formatDay(lastDay)]).toEqual([from, to]);
});

test('a period holds its day, and the next one begins where it ends', () => {
  const anyDay = fc.integer({ min: 0, max: 40_000 }).map(toDay);
  fc.assert(
    fc.property(fc.constantFrom(...PERIODS), anyDay, (kind, of) => {
      const { firstDay, lastDay } = periodAround(kind, of);
      expect(firstDay <= of && of <= lastDay).toBe(true);
      const next = periodAround(kind, movePeriod(kind, of, 1));
      // Eight weeks are moved by one, all others by themselves.
      expect(next.firstDay).toBe(kind === 'weeks' ? addDays(firstDay, 7) : addDays(lastDay, 1));
      expect(periodAround(kind, movePeriod(kind, next.lastDay, -1))).toEqual({ firstDay, lastDay });
      expect(formatDay(monthOf(of)).slice(8)).toBe('01');
    }),
  );
});
