import { Defect } from '../result/result.ts';
import fc from 'fast-check';
import {
  addDays,
  daysFrom,
  earliestOf,
  formatDay,
  latestOf,
  mondayOf,
  parseDay,
  toDay,
  weekOf,
  weekdayOf,
} from './day.ts';
import { formatHours, formatLeft, parseHours } from './hours.ts';
import { formatInstant, parseInstant, toInstant } from './instant.ts';
import { merge, subtract } from './span.ts';
import { toSeconds } from './seconds.ts';
import { createZone } from './zone.ts';

const zoneOf = (name: string) => {
  const zone = createZone(name);
  if (!zone.ok) throw new Error(name);
  return zone.value;
};
const at = (text: string) => {
  const instant = parseInstant(text);
  if (!instant.ok) throw new Error(text);
  return instant.value;
};

test.each([
  ['2026-03-02T07:00:00+01:00', '2026-03-02T06:00:00Z', 'an offset is taken off'],
  ['2026-03-02t07:00:00z', '2026-03-02T07:00:00Z', 'small letters are allowed'],
  ['2026-03-02T07:00:00.999Z', '2026-03-02T07:00:00Z', 'fractions are cut off'],
  ['2024-02-29T00:00:00-05:30', '2024-02-29T05:30:00Z', 'a leap day'],
])('%s is %s (%s)', (text, utc) => expect(formatInstant(at(text))).toBe(utc));

test.each([
  '2026-02-29T00:00:00Z',
  '2026-03-02T24:00:00Z',
  '2026-03-02T07:00:60Z',
  '2026-03-02T07:00:00',
  '2026-03-02',
  '2026-3-2T07:00:00Z',
  '2026-03-02T07:00:00+24:00',
])('%s is no instant', (text) => expect(parseInstant(text).ok).toBe(false));

test.each([
  ['Europe/Helsinki', '2026-03-29', 23, 'clocks go forward'],
  ['Europe/Helsinki', '2026-10-25', 25, 'clocks go back'],
  ['Europe/Helsinki', '2026-03-02', 24, 'an ordinary day'],
  ['America/Sao_Paulo', '2018-11-04', 23, 'the day begins at one, because midnight does not exist'],
  ['Asia/Kathmandu', '2026-03-02', 24, 'an offset with minutes'],
])('in %s the day %s has %i hours: %s', (name, text, hours) => {
  const zone = zoneOf(name);
  const day = parseDay(text);
  if (!day.ok) throw new Error(text);
  expect((zone.startOf(toDay(day.value + 1)) - zone.startOf(day.value)) / 3600).toBe(hours);
});

test('every instant lies in its day, and days touch', () => {
  const zone = zoneOf('Europe/Helsinki');
  fc.assert(
    fc.property(fc.integer({ min: 1_700_000_000, max: 1_900_000_000 }), (seconds) => {
      const day = zone.dayAt(toInstant(seconds));
      expect(zone.startOf(day)).toBeLessThanOrEqual(seconds);
      expect(zone.startOf(toDay(day + 1))).toBeGreaterThan(seconds);
    }),
  );
});

test.each([
  [24_330, 'h:mm', '6:45'],
  [24_359, 'h:mm', '6:45'],
  [24_330, 'h:mm:ss', '6:45:30'],
  [24_335, 'decimal', '6.76'],
  [24_317, 'decimal', '6.75'],
  [2_400, 'decimal', '0.67'],
  [3_599, 'decimal', '1.00'],
  [-18, 'decimal', '−0.01'],
  [-90, 'h:mm:ss', '−0:01:30'],
  [0, 'decimal', '0.00'],
] as const)('%i s as %s: %s, a clock cut off, decimals rounded', (seconds, style, text) => {
  expect(formatHours(toSeconds(seconds), style)).toBe(text);
});

test.each([
  [24_241, 'h:mm', '6:45'],
  [24_300, 'h:mm', '6:45'],
  [24_301, 'h:mm', '6:46'],
  [1, 'h:mm', '0:01'],
  [24_301, 'h:mm:ss', '6:45:01'],
  [2_400, 'decimal', '0.67'],
] as const)('%i s left, as %s: %s', (seconds, style, text) => {
  expect(formatLeft(toSeconds(seconds), style)).toBe(text);
});

test('used and left make an estimate of whole minutes', () => {
  fc.assert(
    fc.property(fc.nat(6000), fc.nat(360_000), (minutes, some) => {
      const estimate = minutes * 60;
      const used = Math.min(some, estimate);
      const read = (text: string) => parseHours(text) ?? NaN;
      const shown =
        read(formatHours(toSeconds(used), 'h:mm')) + read(formatLeft(toSeconds(estimate - used), 'h:mm'));
      expect(shown).toBe(estimate);
    }),
  );
});

test.each<[text: string, seconds: number | undefined, why: string]>([
  ['1:30', 5400, 'hours and minutes'],
  ['1.5', 5400, 'decimal, with a point'],
  ['1,5', 5400, 'or a comma'],
  ['.25', 900, 'less than an hour'],
  ['0.7', 2520, 'no second is lost to floating point'],
  ['0:45:30', 2730, 'seconds too'],
  ['25', 90_000, 'more than a day is for others to refuse'],
  ['1:60', undefined, 'no such minute'],
  ['', undefined, 'nothing'],
  ['.', undefined, 'no digit'],
  ['-1', undefined, 'less than nothing'],
  ['1h', undefined, 'words'],
])('%j is a length of %p: %s', (text, seconds) => expect(parseHours(text)).toBe(seconds));

test('a length is read as it is written', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3_000_000 }), (seconds) => {
      expect(parseHours(formatHours(toSeconds(seconds), 'h:mm:ss'))).toBe(seconds);
    }),
  );
});

test('a day is read as it is written', () => {
  fc.assert(
    fc.property(fc.integer({ min: -20_000, max: 60_000 }), (count) => {
      const read = parseDay(formatDay(toDay(count)));
      expect(read.ok && read.value).toBe(count);
    }),
  );
});

test('2026-11-24 is a Tuesday', () => {
  const day = parseDay('2026-11-24');
  expect(day.ok && weekdayOf(day.value)).toBe(2);
});

test('what is left of spans and what was taken from them add up', () => {
  const anySpans = fc
    .array(fc.tuple(fc.nat(500), fc.nat(60)), { maxLength: 12 })
    .map((pairs) =>
      merge(
        pairs
          .sort(([a], [b]) => a - b)
          .map(([from, length]) => ({ from: toInstant(from), to: toInstant(from + length) })),
      ),
    );
  const covered = (spans: readonly { from: number; to: number }[]) =>
    new Set(spans.flatMap(({ from, to }) => Array.from({ length: to - from }, (_, i) => from + i)));
  fc.assert(
    fc.property(anySpans, anySpans, (spans, holes) => {
      const hole = covered(holes);
      expect([...covered(subtract(spans, holes))]).toEqual(
        [...covered(spans)].filter((second) => !hole.has(second)),
      );
    }),
  );
});

test.each([
  ['2026-11-24', 48, 'an ordinary week'],
  ['2026-12-31', 53, 'a year of 53 weeks'],
  ['2027-01-01', 53, 'a Friday that belongs to the old year'],
  ['2027-01-04', 1, 'the first Monday'],
  ['2024-12-30', 1, 'a Monday that belongs to the new year'],
])('%s lies in week %i: %s', (text, week) => {
  const day = parseDay(text);
  expect(day.ok && weekOf(day.value)).toBe(week);
});

test.each([
  ['2026-11-23', '2026-11-23', 'a Monday'],
  ['2026-11-29', '2026-11-23', 'a Sunday'],
  ['2027-01-01', '2026-12-28', 'a Friday whose week began in the old year'],
  ['1969-12-31', '1969-12-29', 'a day before the count begins'],
])('the week of %s begins on %s: %s', (text, monday) => {
  const day = parseDay(text);
  expect(day.ok && formatDay(mondayOf(day.value))).toBe(monday);
});

test('days are counted on and back, over the end of a month and of a year', () => {
  const day = toDay(20_000);
  expect(daysFrom(addDays(day, -1), 3)).toEqual([19_999, 20_000, 20_001]);
  expect([earliestOf([addDays(day, 4), day]), latestOf(new Set([day, addDays(day, 4)]))]).toEqual([
    20_000, 20_004,
  ]);
  expect(() => earliestOf([])).toThrow(Defect);
});
