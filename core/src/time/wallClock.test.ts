import fc from 'fast-check';
import { formatInstant, parseInstant, toInstant } from './instant.ts';
import type { Instant } from './instant.ts';
import { atWallClock, nextAtClock, parseClock } from './wallClock.ts';
import { createZone } from './zone.ts';

const made = createZone('Europe/Oslo');
if (!made.ok) throw new Error('zone');
const zone = made.value;
const instant = (text: string): Instant => {
  const read = parseInstant(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const HOUR = 3600;

test.each([
  ['2026-03-02T12:00:00Z', 7 * HOUR, '2026-03-02T06:00:00Z', 'an ordinary day'],
  ['2026-07-01T12:00:00Z', 7 * HOUR, '2026-07-01T05:00:00Z', 'in summer'],
  ['2026-03-29T12:00:00Z', 2.5 * HOUR, '2026-03-29T01:30:00Z', 'a time that the clocks went over'],
  ['2026-03-29T12:00:00Z', 3.5 * HOUR, '2026-03-29T01:30:00Z', 'and the time it became'],
  ['2026-10-25T12:00:00Z', 2.5 * HOUR, '2026-10-25T00:30:00Z', 'of two, the earlier'],
  ['2026-03-29T12:00:00Z', 23.5 * HOUR, '2026-03-29T21:30:00Z', 'in the last hour of a day that lacks one'],
  ['2026-10-25T12:00:00Z', 23.5 * HOUR, '2026-10-25T22:30:00Z', 'and of a day that has one more'],
  ['2026-10-25T12:00:00Z', 4 * HOUR, '2026-10-25T03:00:00Z', 'behind the hour that came twice'],
])('on the day of %s the clock shows %i s at %s: %s', (on, clock, at) =>
  expect(formatInstant(atWallClock(zone, zone.dayAt(instant(on)), clock))).toBe(at),
);

test.each([
  ['2026-03-02T20:00:00Z', 23 * HOUR, '2026-03-02T22:00:00Z', 'later that day'],
  ['2026-03-02T20:00:00Z', 6 * HOUR, '2026-03-03T05:00:00Z', 'else the next day'],
  ['2026-03-02T20:00:00Z', 21 * HOUR, '2026-03-03T20:00:00Z', 'never the same instant'],
  ['2026-03-28T23:30:00Z', 6 * HOUR, '2026-03-29T04:00:00Z', 'over the change of clocks'],
])('behind %s the clock shows %i s first at %s: %s', (after, clock, at) =>
  expect(formatInstant(nextAtClock(zone, instant(after), clock))).toBe(at),
);

test('the next time that a clock shows lies behind, at most 25 hours, and shows it', () => {
  const anyInstant = fc.integer({
    min: instant('2026-01-01T00:00:00Z'),
    max: instant('2027-12-31T00:00:00Z'),
  });
  fc.assert(
    fc.property(anyInstant, fc.integer({ min: 4 * HOUR, max: 24 * HOUR - 1 }), (after, clock) => {
      const next = nextAtClock(zone, toInstant(after), clock);
      expect(next - after).toBeGreaterThan(0);
      expect(next - after).toBeLessThanOrEqual(25 * HOUR);
      expect(zone.clockAt(next)).toBe(clock);
    }),
  );
});

test.each([
  ['7:05', 7 * HOUR + 300],
  ['7.05', 7 * HOUR + 300],
  ['705', 7 * HOUR + 300],
  [' 0705 ', 7 * HOUR + 300],
  ['0:00', 0],
  ['23:59', 24 * HOUR - 60],
  ['24:00', undefined],
  ['7:60', undefined],
  ['7', undefined],
  ['seven', undefined],
  ['', undefined],
])('“%s” is read as %s seconds since midnight', (text, seconds) => expect(parseClock(text)).toBe(seconds));
