import { itemAt } from '../result/index.ts';
import type { Fraction } from '../money/index.ts';

const floor = ({ numerator, denominator }: Fraction): bigint => {
  const quotient = numerator / denominator;
  return numerator < 0n && quotient * denominator !== numerator ? quotient - 1n : quotient;
};

/** Exact parts as whole numbers that add up to a total near their sum: each is floored, and what is still missing goes one
 *  by one to the largest fractional parts, of equal ones to the earlier; what is too much comes off the smallest.
 *  Source: docs/compare.md, section 2. */
export function toWhole(exact: readonly Fraction[], total: number): number[] {
  const floors = exact.map(floor);
  const shares = floors.map(Number);
  const order = exact
    .map(({ numerator, denominator }, i) => ({
      i,
      rest: numerator - itemAt(floors, i) * denominator,
      denominator,
    }))
    .sort((a, b) => {
      const difference = b.rest * a.denominator - a.rest * b.denominator;
      return difference === 0n ? a.i - b.i : difference > 0n ? 1 : -1;
    });
  let missing = total - shares.reduce((a, b) => a + b, 0);
  for (let turn = 0; missing > 0 && order.length > 0; turn += 1, missing -= 1) {
    const { i } = itemAt(order, turn % order.length);
    shares[i] = itemAt(shares, i) + 1;
  }
  for (let turn = 1; missing < 0 && order.length > 0; turn += 1, missing += 1) {
    const { i } = itemAt(order, order.length - 1 - ((turn - 1) % order.length));
    shares[i] = itemAt(shares, i) - 1;
  }
  return shares;
}
