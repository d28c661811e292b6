import { IANAZone } from 'luxon';
import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { toDay } from './day.ts';
import { toInstant } from './instant.ts';
import type { LocalDay } from './day.ts';
import type { Instant } from './instant.ts';

const SECONDS_PER_DAY = 86_400;
/** No place on earth is further from UTC than this. */
const WIDEST_OFFSET = 15 * 3600;

/** The shop's time zone, as far as the ledger needs it. A local day begins at the instant at which the local
 *  date changes, so it has 23 or 25 hours when clocks change. Source: docs/ledger.md, section 2. */
export type Zone = {
  readonly name: string;
  /** The local day that an instant belongs to. */
  readonly dayAt: (at: Instant) => LocalDay;
  /** The first instant of a local day. */
  readonly startOf: (day: LocalDay) => Instant;
  /** The local wall clock at an instant as seconds since local midnight, for rulers and displays. */
  readonly clockAt: (at: Instant) => number;
};

/** Makes the zone for an IANA name such as `Europe/Helsinki`; its days are worked out once and kept. */
export function createZone(name: string): Result<Zone, 'zone.unknown'> {
  if (!IANAZone.isValidZone(name)) return fail('zone.unknown', { name });
  const zone = IANAZone.create(name);
  const offsetAt = (unixSeconds: number) => zone.offset(unixSeconds * 1000) * 60;
  const dateAt = (unixSeconds: number) => Math.floor((unixSeconds + offsetAt(unixSeconds)) / SECONDS_PER_DAY);

  const findStart = (day: number): Instant => {
    let before = day * SECONDS_PER_DAY - WIDEST_OFFSET;
    let after = day * SECONDS_PER_DAY + WIDEST_OFFSET;
    while (after - before > 1) {
      const middle = Math.floor((before + after) / 2);
      if (dateAt(middle) >= day) after = middle;
      else before = middle;
    }
    return toInstant(after);
  };

  const starts = new Map<number, Instant>();
  const startOf = (day: number): Instant => {
    let start = starts.get(day);
    if (start === undefined) {
      start = findStart(day);
      starts.set(day, start);
    }
    return start;
  };

  const dayAt = (at: Instant): LocalDay => {
    let day = Math.floor(at / SECONDS_PER_DAY);
    while (startOf(day) > at) day -= 1;
    while (startOf(day + 1) <= at) day += 1;
    return toDay(day);
  };

  // Asking for an offset is slow, and almost every day has one from its beginning to its end.
  const offsets = new Map<LocalDay, number | 'changes'>();
  const offsetOn = (at: Instant): number => {
    const day = dayAt(at);
    let offset = offsets.get(day);
    if (offset === undefined) {
      const first = offsetAt(startOf(day));
      offset = first === offsetAt(startOf(day + 1)) ? first : 'changes';
      offsets.set(day, offset);
    }
    return offset === 'changes' ? offsetAt(at) : offset;
  };
  const clockAt = (at: Instant) => {
    const local = at + offsetOn(at);
    return local - Math.floor(local / SECONDS_PER_DAY) * SECONDS_PER_DAY;
  };

  return ok({ name, dayAt, startOf, clockAt });
}
