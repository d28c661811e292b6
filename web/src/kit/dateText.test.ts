import fc from 'fast-check';
import { formatDay, parseDay, toDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { speak } from '../words/atDesk.ts';
import { sayLongDay } from './dates.ts';
import { readDateText } from './dateText.ts';

const dayOf = (text: string) => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const TODAY = dayOf('2026-11-24');
afterEach(() => speak('en'));

test.each<[typed: string, day: string | undefined, why: string]>([
  ['2026-11-24', '2026-11-24', 'as it is kept'],
  ['24 Nov 2026', '2026-11-24', 'in words'],
  ['Tue 24 Nov 2026', '2026-11-24', 'as it is shown'],
  [' tuesday, 24 november 2026 ', '2026-11-24', 'in long words'],
  ['24.11.2026', '2026-11-24', 'with points'],
  ['24/11/2026', '2026-11-24', 'the day before the month'],
  ['3/12', '2026-12-03', 'without a year: this one'],
  ['3.12.', '2026-12-03', 'with a last point'],
  ['2 Jan', '2027-01-02', 'or the next, where that is nearer'],
  ['30 Jun', '2026-06-30', 'or the past'],
  ['31.2.2026', undefined, 'no calendar has it'],
  ['29 Feb 2028', '2028-02-29', 'a leap day'],
  ['13/13/2026', undefined, 'no such month'],
  ['24 Nix', undefined, 'no such month in words'],
  ['soon', undefined, 'words'],
  ['', undefined, 'nothing'],
])('%j is %s (%s)', (typed, day) => {
  const read = readDateText(typed, TODAY);
  expect(read === undefined ? undefined : formatDay(read)).toBe(day);
});

test.each(['en', 'de'] as const)('every day is read as it is shown in %s', async (language) => {
  await speak(language);
  fc.assert(
    fc.property(fc.integer({ min: dayOf('1970-01-01'), max: dayOf('2199-12-31') }), (count) => {
      const day: LocalDay = toDay(count);
      expect(readDateText(sayLongDay(day), TODAY)).toBe(day);
    }),
  );
});
