import type { Seconds } from '../time/index.ts';
import { formatDecimal, fraction } from './fraction.ts';

/** Writes a length as decimal hours, to the nearest hundredth: `"1.25"`. For fields that take hours, and for lists. */
export const formatDecimalHours = (length: Seconds): string =>
  formatDecimal(fraction(BigInt(Math.round(length / 36)), 100n));
