import { z } from 'zod';
import { parseDecimal, parseRate } from '@wergon/core/money';
import type { Brand, Result } from '@wergon/core/result';
import { parseDay, parseInstant } from '@wergon/core/time';

/** Reads a string with one of core's parsers; what it refuses is said in `expected`. */
const textAs = <T>(parse: (text: string) => Result<T, string>, expected: string) =>
  z.string().transform((text, context) => {
    const parsed = parse(text);
    if (parsed.ok) return parsed.value;
    context.addIssue({ code: 'custom', message: `expected ${expected}` });
    return z.NEVER;
  });

/** An opaque id: any short text without control characters. */
export const idText = <Name extends string>() =>
  z
    .string()
    .min(1)
    .max(200)
    .regex(/^\P{Cc}+$/u, 'must not hold control characters')
    .transform((text) => text as Brand<string, Name>);

export const instantText = textAs(parseInstant, 'an RFC 3339 instant with offset');
export const dayText = textAs(parseDay, 'a calendar day such as 2026-03-02');
export const hoursText = textAs(parseDecimal, 'hours such as 1.25');
export const amountText = textAs(parseDecimal, 'an amount such as 31.50');
export const rateText = textAs(parseRate, 'a rate such as 41.3750, with at most four decimals');
export const wholeNumber = z.int().min(0);
