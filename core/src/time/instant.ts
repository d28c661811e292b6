import { Defect, fail, ok } from '../result/index.ts';
import type { Brand, Result } from '../result/index.ts';

/** A moment: whole seconds of UTC since 1970-01-01. Source: docs/ledger.md, section 2. */
export type Instant = Brand<number, 'Instant'>;

/** Brands a whole number as a moment. Throws `Defect` on anything else, also on NaN. */
export function toInstant(unixSeconds: number): Instant {
  if (!Number.isSafeInteger(unixSeconds)) throw new Defect(`not a whole second: ${unixSeconds}`);
  return unixSeconds as Instant;
}

const RFC_3339 =
  /^(\d{4})-(\d{2})-(\d{2})[Tt](\d{2}):(\d{2}):(\d{2})(?:\.\d+)?(?:[Zz]|([+-])(\d{2}):(\d{2}))$/;

/** Reads an RFC 3339 instant with offset; fractions of a second are cut off. Refuses dates and times that
 *  do not exist, and leap seconds, which no clock here shows. */
export function parseInstant(text: string): Result<Instant, 'instant.bad'> {
  const match = RFC_3339.exec(text);
  if (!match) return fail('instant.bad', { text });
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0, second = 0] = match.slice(1, 7).map(Number);
  const offsetHours = Number(match[8] ?? 0);
  const offsetMinutes = Number(match[9] ?? 0);
  const utc = new Date(0);
  utc.setUTCFullYear(year, month - 1, day);
  const dateExists = utc.getUTCMonth() === month - 1 && utc.getUTCDate() === day;
  if (!dateExists || hour > 23 || minute > 59 || second > 59 || offsetHours > 23 || offsetMinutes > 59)
    return fail('instant.bad', { text });
  const offset = (match[7] === '-' ? -1 : 1) * (offsetHours * 3600 + offsetMinutes * 60);
  return ok(toInstant(utc.getTime() / 1000 + hour * 3600 + minute * 60 + second - offset));
}

/** Writes a moment as RFC 3339 in UTC, `2026-03-02T06:00:00Z`. */
export const formatInstant = (at: Instant): string => `${new Date(at * 1000).toISOString().slice(0, 19)}Z`;
