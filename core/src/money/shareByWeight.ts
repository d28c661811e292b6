import { Defect, itemAt } from '../result/index.ts';

/** Divides a whole total by weights, by largest remainder: each share is floored, and what is left over goes one
 *  by one to the largest fractional parts, of equal ones to the earlier. The shares add up to the total.
 *  Throws `Defect` without a positive sum of weights. Source: docs/ledger.md, section 5. */
export function shareByWeight(total: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  if (!(sum > 0)) throw new Defect('weights must add up to more than zero');
  if (total * sum <= Number.MAX_SAFE_INTEGER) {
    const rest = weights.map((weight) => (total * weight) % sum);
    return handOut(
      total,
      weights.map((weight, i) => (total * weight - itemAt(rest, i)) / sum),
      rest,
    );
  }
  // The product can pass 2^53, so the division is done in BigInt.
  const divisor = BigInt(sum);
  const exact = weights.map((weight) => BigInt(total) * BigInt(weight));
  const remainders = exact.map((product) => product % divisor);
  return handOut(
    total,
    exact.map((product) => Number(product / divisor)),
    remainders,
  );
}

/** Gives what is left of the total, one by one, to the largest remainders, of equal ones to the earlier. */
function handOut(total: number, shares: number[], remainders: readonly (number | bigint)[]): number[] {
  const left = total - shares.reduce((a, b) => a + b, 0);
  if (left === 0) return shares;
  const order = remainders
    .map((remainder, i) => ({ i, remainder }))
    .sort((a, b) => (a.remainder === b.remainder ? a.i - b.i : a.remainder > b.remainder ? -1 : 1));
  for (const { i } of order.slice(0, left)) shares[i] = itemAt(shares, i) + 1;
  return shares;
}
