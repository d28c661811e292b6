import { nextNumber } from './nextNumber.ts';

test.each<[numbers: string[], next: string, why: string]>([
  [[], '1', 'nobody yet'],
  [['1', '2'], '3', 'the next one'],
  [['104', '99'], '105', 'by number, not by letter'],
  [['007'], '008', 'as wide as the others'],
  [['099'], '100', 'wider where it must be'],
  [['A12', 'x'], '1', 'what is no number does not count'],
  [['9', 'T20'], '10', 'beside others'],
])('after %j comes %s: %s', (numbers, next) =>
  expect(nextNumber(numbers.map((number) => ({ number })))).toBe(next),
);
