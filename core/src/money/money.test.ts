import fc from 'fast-check';
import { toSeconds } from '../time/seconds.ts';
import { formatDecimalHours } from './hundredths.ts';
import {
  formatCents,
  formatRate,
  laborCost,
  parseCents,
  parseRate,
  sumCents,
  toCents,
  toRate,
} from './money.ts';
import { fraction, parseDecimal, roundFraction } from './fraction.ts';
import { shareByWeight } from './shareByWeight.ts';

test.each([
  [5_400, 400_000, 6_000, 'an hour and a half at 40'],
  [1, 180_000, 1, 'half a cent rounds away from zero'],
  [1, 179_999, 0, 'a little less does not'],
  [0, 400_000, 0, 'no time costs nothing'],
  [31_536_000, 99_999_999, 8_759_999_912, 'a year at a rate far beyond any wage stays exact'],
])('%i s at %i/10,000 an hour: %i cents, %s', (seconds, rate, cents) => {
  expect(laborCost(toSeconds(seconds), toRate(rate))).toBe(cents);
});

test('the quick way and the exact way to a cost agree', () => {
  const exact = (seconds: number, rate: number) =>
    Number(roundFraction(fraction(BigInt(seconds) * BigInt(rate), 360_000n)));
  fc.assert(
    fc.property(fc.nat(10_000_000), fc.nat(100_000_000), (seconds, rate) => {
      expect(laborCost(toSeconds(seconds), toRate(rate))).toBe(exact(seconds, rate));
    }),
  );
});

test.each([
  ['41.3750', '41.3750'],
  ['52', '52.0000'],
  ['0.5', '0.5000'],
])('a rate of %s is written %s', (text, written) => {
  const rate = parseRate(text);
  expect(rate.ok && formatRate(rate.value)).toBe(written);
});

test.each(['', '-1', '1,5', '.5', '5.', '1e3', '1.23456', ' 1', '0x1'])('%j is no rate', (text) => {
  expect(parseRate(text).ok).toBe(false);
});

test.each([
  [5200, '52.00'],
  [-5, '-0.05'],
  [0, '0.00'],
])('%i cents are written %s', (cents, written) => expect(formatCents(toCents(cents))).toBe(written));

test.each([
  ['0.00', 0],
  ['52.05', 5205],
  ['-0.07', -7],
  ['-1234.50', -123_450],
])('%j is %i cents, and back', (text, count) => {
  expect(parseCents(text)).toEqual({ ok: true, value: count });
  expect(formatCents(toCents(count))).toBe(text);
});
test.each(['', '1', '1.5', '1.234', '1,50', '+1.00', '.50', '1e2'])('%j is no amount of cents', (text) => {
  expect(parseCents(text)).toMatchObject({ ok: false, code: 'decimal.bad' });
});

test('decimals are read exactly', () => {
  const third = parseDecimal('0.3333333333');
  expect(third.ok && third.value).toEqual({ numerator: 3_333_333_333n, denominator: 10_000_000_000n });
});

test.each([
  [10, [1, 1, 1], [4, 3, 3], 'of equal remainders the earlier one gets the second'],
  [7, [2, 1], [5, 2], 'the larger remainder first'],
  [1, [1, 1], [1, 0], 'one second cannot be halved'],
  [0, [3, 4], [0, 0], 'nothing to share'],
])('%i by %j: %j, %s', (total, weights, shares) => expect(shareByWeight(total, weights)).toEqual(shares));

test('shares add up to the total', () => {
  const anyWeights = fc.array(fc.integer({ min: 1, max: 1e9 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(fc.nat(1e9), anyWeights, (total, weights) => {
      expect(shareByWeight(total, weights).reduce((a, b) => a + b, 0)).toBe(total);
    }),
  );
});

test.each([
  [0, '0', 'nothing'],
  [4_500, '1.25', 'an hour and a quarter'],
  [18, '0.01', 'half a hundredth is one'],
  [17, '0', 'less is none'],
])('%i s are %s hours: %s', (seconds, text) => expect(formatDecimalHours(toSeconds(seconds))).toBe(text));

test('a sum of cents is that of its parts, and what has no cost adds nothing', () => {
  const cost = fc.option(fc.integer({ min: -1_000_000, max: 1_000_000 }).map(toCents));
  fc.assert(
    fc.property(fc.array(cost), fc.array(cost), (some, others) => {
      const of = (costs: readonly (number | null)[]) => sumCents(costs.map((each) => ({ cost: each })));
      expect(of([...some, ...others])).toBe(of(some) + of(others));
      expect(of([...some, null])).toBe(of(some));
    }),
  );
});
