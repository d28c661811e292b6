import { Defect, fail, ok } from '../result/index.ts';
import type { Brand, Result } from '../result/index.ts';
import { fraction, multiplyFractions, parseDecimal, roundFraction } from './fraction.ts';
import type { Fraction } from './fraction.ts';
import type { Seconds } from '../time/index.ts';

/** Money in whole minor units (cents); may be negative. Source: docs/ledger.md, section 2. */
export type Cents = Brand<number, 'Cents'>;

/** An exact amount in whole cents, rounded once, half away from zero. */
export const centsOf = (amount: Fraction): Cents =>
  toCents(Number(roundFraction(multiplyFractions(amount, fraction(100n)))));

/** Money per hour in whole 1/10,000 of the currency unit. */
export type Rate = Brand<number, 'Rate'>;

function safeInteger(count: number): number {
  if (!Number.isSafeInteger(count)) throw new Defect(`not a safe whole number: ${count}`);
  return count;
}

/** Brands whole cents. Throws `Defect` on anything else. */
export const toCents = (count: number): Cents => safeInteger(count) as Cents;

/** Brands a whole number of 1/10,000 per hour. Throws `Defect` on anything else. */
export const toRate = (count: number): Rate => safeInteger(count) as Rate;

/** What a rate of 1/10,000 per hour over seconds must be divided by to give cents: 3600 s × 100. */
const RATE_SECONDS_PER_CENT = 360_000;

/** Cost of a length of time at an hourly rate, rounded once, half away from zero.
 *  Source: docs/ledger.md, section 6, line cost. */
export function laborCost(length: Seconds, rate: Rate): Cents {
  const product = length * rate;
  if (product >= 0 && product < 4e15)
    return Math.floor((product * 2 + RATE_SECONDS_PER_CENT) / (RATE_SECONDS_PER_CENT * 2)) as Cents;
  return toCents(
    Number(roundFraction(fraction(BigInt(length) * BigInt(rate), BigInt(RATE_SECONDS_PER_CENT)))),
  );
}

/** Reads a rate such as `41.3750`; refuses more than four decimals. */
export function parseRate(text: string): Result<Rate, 'decimal.bad'> {
  if (!/^\d{1,9}(\.\d{1,4})?$/.test(text)) return fail('decimal.bad', { text });
  const parsed = parseDecimal(text);
  if (!parsed.ok) return parsed;
  return ok(toRate(Number((parsed.value.numerator * 10_000n) / parsed.value.denominator)));
}

const formatScaled = (count: number, scale: number): string => {
  const digits = String(Math.abs(count)).padStart(scale + 1, '0');
  return `${count < 0 ? '-' : ''}${digits.slice(0, -scale)}.${digits.slice(-scale)}`;
};

/** The sum of what some things cost; what has no cost adds nothing. */
export const sumCents = (items: readonly { readonly cost: number | null }[]): Cents =>
  toCents(items.reduce((sum, { cost }) => sum + (cost ?? 0), 0));

/** Writes cents as a decimal string, `"52.00"`. */
export const formatCents = (cents: Cents): string => formatScaled(cents, 2);

/** Reads cents from a decimal string such as `-52.00`; refuses fractions of a cent. */
export function parseCents(text: string): Result<Cents, 'decimal.bad'> {
  const [, sign = '', units = '', hundredths = ''] = /^(-?)(\d{1,13})\.(\d{2})$/.exec(text) ?? [];
  if (units === '') return fail('decimal.bad', { text });
  return ok(toCents(Number(`${sign}${units}${hundredths}`)));
}

/** Writes a rate as a decimal string, `"41.3750"`. */
export const formatRate = (rate: Rate): string => formatScaled(rate, 4);
