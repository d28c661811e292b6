export {
  addFractions,
  formatDecimal,
  fraction,
  multiplyFractions,
  parseDecimal,
  roundFraction,
} from './fraction.ts';
export type { Fraction } from './fraction.ts';
export { formatDecimalHours } from './hundredths.ts';
export {
  centsOf,
  formatCents,
  formatRate,
  laborCost,
  parseCents,
  parseRate,
  sumCents,
  toCents,
  toRate,
} from './money.ts';
export type { Cents, Rate } from './money.ts';
export { shareByWeight } from './shareByWeight.ts';
