import { addDays } from './day.ts';
import { toInstant } from './instant.ts';
import type { LocalDay } from './day.ts';
import type { Instant } from './instant.ts';
import type { Zone } from './zone.ts';

const DAY = 86_400;
const HALF_DAY = DAY / 2;

/** The instant at which a wall clock shows so many seconds since midnight on a local day; of two, the earlier, and of
 *  none (clocks went forward over it) as much later as they went. */
export function atWallClock(zone: Zone, day: LocalDay, clockSeconds: number): Instant {
  const guess = toInstant(zone.startOf(day) + clockSeconds);
  // Where the guess fell past midnight its clock is near that of the other end of the day.
  const apart = clockSeconds - zone.clockAt(guess);
  const shift = apart > HALF_DAY ? apart - DAY : apart < -HALF_DAY ? apart + DAY : apart;
  const moved = toInstant(guess + shift);
  return zone.clockAt(moved) === clockSeconds ? moved : guess;
}

/** The first instant behind another at which the wall clock shows so many seconds since midnight: an end that is typed
 *  for work that began before midnight may lie on the next day. */
export function nextAtClock(zone: Zone, after: Instant, clockSeconds: number): Instant {
  const day = zone.dayAt(after);
  const same = atWallClock(zone, day, clockSeconds);
  return same > after ? same : atWallClock(zone, addDays(day, 1), clockSeconds);
}

/** Reads a clock time as a hand types it: `7:05`, `7.05`, `705`, `0705`. Seconds since midnight; absent for anything
 *  else. */
export function parseClock(text: string): number | undefined {
  const match = /^(\d{1,2})[:.]?(\d{2})$/.exec(text.trim());
  if (!match) return undefined;
  const [hours, minutes] = [Number(match[1]), Number(match[2])];
  return hours < 24 && minutes < 60 ? hours * 3600 + minutes * 60 : undefined;
}
