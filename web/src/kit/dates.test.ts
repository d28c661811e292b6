import { createZone, parseInstant } from '@wergon/core/time';
import { sayClock, sayDate, sayDateText } from './dates.ts';

test('a day is said as people say it, and none is said as nothing', () => {
  expect([sayDateText('2026-11-24'), sayDate(null)]).toEqual(['Tue 24 Nov', '']);
});

test.each([
  ['2026-03-29T00:59:00Z', '2:59', 'before the clocks change'],
  ['2026-03-29T01:00:00Z', '4:00', 'an hour is skipped'],
])('at %s the shop’s clock shows %s: %s', (text, clock) => {
  const [zone, at] = [createZone('Europe/Helsinki'), parseInstant(text)];
  expect(zone.ok && at.ok && sayClock(zone.value, at.value)).toBe(clock);
});
