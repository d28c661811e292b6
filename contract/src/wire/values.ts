import { z } from 'zod';
import { formatCents, parseCents, parseDecimal, parseRate } from '@wergon/core/money';
import type { Brand, Result } from '@wergon/core/result';
import { formatDay, formatInstant, parseDay, parseInstant, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay, Seconds } from '@wergon/core/time';

/** Text that stands for a value: one of core's parsers reads it, `format` writes it. */
const textOf = <T>(
  parse: (text: string) => Result<T, string>,
  expected: string,
  format: (value: T) => string,
) =>
  z.codec(z.string(), z.custom<T>(Number.isSafeInteger), {
    decode: (text, context) => {
      const parsed = parse(text);
      if (parsed.ok) return parsed.value;
      context.issues.push({ code: 'custom', message: `expected ${expected}`, input: text });
      return z.NEVER;
    },
    encode: (value, context) => {
      // One of several forms may be tried that is not that of this value.
      if (Number.isSafeInteger(value)) return format(value);
      context.issues.push({ code: 'custom', message: `expected ${expected}`, input: value });
      return z.NEVER;
    },
  });

/** Reads a string with one of core's parsers; what it refuses is said in `expected`. Never written. */
const textAs = <T>(parse: (text: string) => Result<T, string>, expected: string) =>
  z.string().transform((text, context) => {
    const parsed = parse(text);
    if (parsed.ok) return parsed.value;
    context.addIssue({ code: 'custom', message: `expected ${expected}` });
    return z.NEVER;
  });

/** The years in which a shop can work; what lies outside of them is a broken clock or a slip of the hand. */
const FIRST_YEAR = 1970;
const LAST_YEAR = 2199;
const utcSeconds = (year: number) => Date.UTC(year, 0, 1) / 1000;
const DAY_SECONDS = 86_400;

const isSaneInstant = (at: Instant) => at >= utcSeconds(FIRST_YEAR) && at < utcSeconds(LAST_YEAR + 1);
const isSaneDay = (day: LocalDay) =>
  day >= utcSeconds(FIRST_YEAR) / DAY_SECONDS && day < utcSeconds(LAST_YEAR + 1) / DAY_SECONDS;
const sane = { message: `expected a year from ${FIRST_YEAR} to ${LAST_YEAR}` };

const isText = (value: unknown): boolean => typeof value === 'string';

/** The one place where text that crossed the wire becomes an id; whether there is such a record, whoever looks it up
 *  finds out. */
const idFrom = <Name extends string>(text: z.ZodString) =>
  z.codec(text, z.custom<Brand<string, Name>>(isText), {
    decode: (id) => id as Brand<string, Name>,
    encode: (id) => id,
  });

/** An opaque id that somebody sends: any short text without control characters and without halves of characters. */
export const idText = <Name extends string>() =>
  idFrom<Name>(
    z
      .string()
      .min(1)
      .max(200)
      .regex(/^[^\p{Cc}\p{Cs}]+$/u, 'must not hold control characters or halves of characters'),
  );

/** Ids in answers. */
const idOf = <Name extends string>() => idFrom<Name>(z.string());
export const technicianId = idOf<'TechnicianId'>();
export const targetId = idOf<'TargetId'>();
export const entryId = idOf<'EntryId'>();
export const workOrderId = idOf<'WorkOrderId'>();
export const badgeId = idOf<'BadgeId'>();
export const resourceId = idOf<'ResourceId'>();
export const standardId = idOf<'StandardId'>();

/** A moment, RFC 3339 in UTC; in an answer, or in a journal that was written before years had a limit. */
export const instant = textOf(parseInstant, 'an RFC 3339 instant with offset', formatInstant);
/** A day of the calendar, `2026-03-02`; in an answer. */
export const day = textOf(parseDay, 'a calendar day such as 2026-03-02', formatDay);
/** Money in cents, `-52.00` on the wire; in an answer. */
export const cents = textOf(parseCents, 'an amount such as 31.50', formatCents);
/** A length of time in whole seconds; in an answer. */
export const seconds = z.codec(z.number(), z.custom<Seconds>(Number.isSafeInteger), {
  decode: toSeconds,
  encode: (length) => length,
});
/** A length of time as somebody sends it, at most so many seconds. */
export const secondsUpTo = (most: number) =>
  z.codec(z.int().min(1).max(most), z.custom<Seconds>(Number.isSafeInteger), {
    decode: toSeconds,
    encode: (length) => length,
  });
/** A moment and a day as somebody sends them. */
export const instantText = instant.refine(isSaneInstant, sane);
export const dayText = day.refine(isSaneDay, sane);
export const hoursText = textAs(parseDecimal, 'hours such as 1.25');
export const amountText = textAs(parseDecimal, 'an amount such as 31.50');
export const rateText = textAs(parseRate, 'a rate such as 41.3750, with at most four decimals');
export const wholeNumber = z.int().min(0);

/** An id that whoever sends something makes for it, so that it is recorded once however often it is sent. */
export const onceId = z
  .string()
  .regex(/^[A-Za-z0-9-]{16,64}$/, 'must be 16 to 64 letters, digits or hyphens')
  .exactOptional();

/** Half of a character that takes two (a lone surrogate), or NUL: text that UTF-8 or SQLite cannot hold. */
const ILL_FORMED = /[\0\p{Cs}]/u;
export const isIllFormed = (text: string): boolean => ILL_FORMED.test(text);

/** Where in a JSON value text stands that cannot be kept, a field's name included; absent where all of it can. */
export function findIllFormed(value: unknown): readonly PropertyKey[] | undefined {
  const waiting: { readonly path: readonly PropertyKey[]; readonly value: unknown }[] = [{ path: [], value }];
  // A stack of its own: what a stranger sends may be nested deeper than calls may be.
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { path, value: part } = next;
    if (typeof part === 'string' && isIllFormed(part)) return path;
    if (typeof part !== 'object' || part === null) continue;
    for (const [key, inner] of Object.entries(part)) {
      if (isIllFormed(key)) return path;
      if (typeof inner === 'string' ? isIllFormed(inner) : typeof inner === 'object')
        waiting.push({ path: [...path, Array.isArray(part) ? Number(key) : key], value: inner });
    }
  }
  return undefined;
}
