import { parseDay } from '@wergon/core/time';
import { readDayText } from './dayText.ts';

test.each([
  ['2026-11-23', '2026-11-24', '2026-11-23', 'a whole date stays'],
  [' 2026-11-23 ', '2026-11-24', '2026-11-23', 'whatever is around it'],
  ['23', '2026-11-24', '2026-11-23', 'a day of this month'],
  ['24', '2026-11-24', '2026-11-24', 'today too'],
  ['25', '2026-11-24', '2026-10-25', 'not one that is still to come: that of last month'],
  ['31', '2026-11-24', '2026-10-31', 'which may be longer'],
  ['31', '2026-10-05', '2026-08-31', 'or shorter: then the month before'],
  ['30', '2027-01-02', '2026-12-30', 'over the year’s end'],
  ['0', '2026-11-24', '2026-11-24', 'today'],
  ['-1', '2026-11-24', '2026-11-23', 'yesterday'],
  ['-3', '2026-03-02', '2026-02-27', 'over the month’s end'],
  ['32', '2026-11-24', '32', 'no day at all is left as it was typed'],
  ['23 Nov', '2026-11-24', '2026-11-23', 'a day as every other field reads it'],
  ['23.11.', '2026-11-24', '2026-11-23', 'in figures too'],
  ['monday', '2026-11-24', 'monday', 'nor are words'],
  ['', '2026-11-24', '', 'nothing is nothing'],
])('“%s” on %s means “%s”: %s', (typed, on, means) => {
  const today = parseDay(on);
  expect(today.ok && readDayText(typed, today.value)).toBe(means);
});
