import fc from 'fast-check';
import { formatDay, formatInstant, toDay, toInstant } from '@wergon/core/time';
import { amountText, dayText, hoursText, idText, instantText, rateText, wholeNumber } from './values.ts';

const SCHEMAS = {
  instant: instantText,
  day: dayText,
  hours: hoursText,
  amount: amountText,
  rate: rateText,
  id: idText(),
  whole: wholeNumber,
};

test.each<[kind: keyof typeof SCHEMAS, value: unknown, isRead: boolean, why: string]>([
  ['instant', '2026-03-02T07:00:00+01:00', true, 'with an offset'],
  ['instant', '2026-03-02T07:00:00Z', true, 'or in UTC'],
  ['instant', '2026-03-02T07:00:00', false, 'without one nobody knows when'],
  ['instant', '2026-02-30T07:00:00Z', false, 'a day that does not exist'],
  ['instant', '2026-03-02', false, 'a day is no instant'],
  ['instant', 1_772_431_200, false, 'nor is a number'],
  ['day', '2026-03-02', true, 'a day'],
  ['day', '2026-3-2', false, 'written otherwise'],
  ['day', '2026-02-29', false, 'not in that year'],
  ['day', '2028-02-29', true, 'but in a leap year'],
  ['hours', '1.25', true, 'an hour and a quarter'],
  ['hours', '1,25', false, 'the wire has one decimal mark'],
  ['hours', '1e3', false, 'and no powers'],
  ['hours', 1.25, false, 'and no floating point'],
  ['amount', '31.50', true, 'an amount'],
  ['amount', '', false, 'nothing is no amount'],
  ['rate', '41.3750', true, 'four decimals'],
  ['rate', '41.37501', false, 'a fifth would be lost'],
  ['rate', 'NaN', false, 'not a number'],
  ['id', 'w1-10', true, 'any short text'],
  ['id', '', false, 'not none'],
  ['id', 'a\u0000b', false, 'no control characters'],
  ['id', 'x'.repeat(201), false, 'not a long one'],
  ['whole', 3, true, 'a count'],
  ['whole', -1, false, 'not below nothing'],
  ['whole', 1.5, false, 'not in parts'],
  ['whole', '3', false, 'not as text'],
])('as %s, %j is read: %s (%s)', (kind, value, isRead) =>
  expect(SCHEMAS[kind].safeParse(value).success).toBe(isRead),
);

test('what is written is read as the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4_000_000_000 }), (seconds) =>
      expect(instantText.parse(formatInstant(toInstant(seconds)))).toBe(seconds),
    ),
  );
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60_000 }), (day) =>
      expect(dayText.parse(formatDay(toDay(day)))).toBe(day),
    ),
  );
});
