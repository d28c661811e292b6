import { itemAt } from '../result/index.ts';

const floorOf = (numerator: bigint, denominator: bigint): bigint => {
  const quotient = numerator / denominator;
  return numerator < 0n && quotient * denominator !== numerator ? quotient - 1n : quotient;
};

/** Exact parts, each a number of units of which `unit` make one, as whole numbers that add up to a total near their sum: each
 *  is floored, and what is still missing goes one by one to the largest fractional parts, of equal ones to the earlier; what
 *  is too much comes off the smallest. Source: docs/compare.md, section 2. */
export function toWhole(exact: readonly bigint[], unit: bigint, total: number): number[] {
  const floors = exact.map((part) => floorOf(part, unit));
  const shares = floors.map(Number);
  let missing = total - shares.reduce((a, b) => a + b, 0);
  if (missing === 0) return shares;
  const order = exact
    .map((part, i) => ({ i, rest: part - itemAt(floors, i) * unit }))
    .sort((a, b) => (a.rest === b.rest ? a.i - b.i : b.rest > a.rest ? 1 : -1));
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
