import { Defect, fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';

/** An exact rational number; the denominator is above zero. */
export type Fraction = { readonly numerator: bigint; readonly denominator: bigint };

/** Makes a fraction. Throws `Defect` on a denominator that is not above zero. */
export function fraction(numerator: bigint, denominator = 1n): Fraction {
  if (denominator <= 0n) throw new Defect('denominator must be above zero');
  return { numerator, denominator };
}

/** The exact sum. */
export const addFractions = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.numerator * b.denominator + b.numerator * a.denominator, a.denominator * b.denominator);

/** The exact product. */
export const multiplyFractions = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.numerator * b.numerator, a.denominator * b.denominator);

/** The nearest whole number, half away from zero. Source: docs/ledger.md, section 2. */
export function roundFraction({ numerator, denominator }: Fraction): bigint {
  const twice = (numerator < 0n ? -numerator : numerator) * 2n + denominator;
  const rounded = twice / (denominator * 2n);
  return numerator < 0n ? -rounded : rounded;
}

/** Reads a plain decimal that is not negative, such as `31.50`: digits, at most ten of them behind the point. */
export function parseDecimal(text: string): Result<Fraction, 'decimal.bad'> {
  const match = /^(\d{1,12})(?:\.(\d{1,10}))?$/.exec(text);
  if (!match) return fail('decimal.bad', { text });
  const decimals = match[2] ?? '';
  return ok(fraction(BigInt(`${match[1] ?? ''}${decimals}`), 10n ** BigInt(decimals.length)));
}

/** Writes a fraction that came from `parseDecimal` as the plain decimal it was, without zeros at its end. Throws
 *  `Defect` where no decimal of ten places is exact. */
export function formatDecimal({ numerator, denominator }: Fraction): string {
  const scaled = numerator * 10n ** 10n;
  if (scaled % denominator !== 0n || numerator < 0n) throw new Defect('not a plain decimal');
  const digits = String(scaled / denominator).padStart(11, '0');
  const decimals = digits.slice(-10).replace(/0+$/, '');
  return `${digits.slice(0, -10)}${decimals === '' ? '' : `.${decimals}`}`;
}
