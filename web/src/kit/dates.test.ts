import { createZone, parseDay, parseInstant } from '@wergon/core/time';
import { sayClock, sayDate, weekOf } from './dates.ts';

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

test('a day is said as people say it, and none is said as nothing', () => {
  expect([sayDate('2026-11-24'), sayDate(null)]).toEqual(['Tue 24 Nov', '']);
});

test.each([
  ['2026-03-29T00:59:00Z', '2:59', 'before the clocks change'],
  ['2026-03-29T01:00:00Z', '4:00', 'an hour is skipped'],
])('at %s the shop’s clock shows %s: %s', (text, clock) => {
  const [zone, at] = [createZone('Europe/Helsinki'), parseInstant(text)];
  expect(zone.ok && at.ok && sayClock(zone.value, at.value)).toBe(clock);
});
