import { lengthOf, overlapSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds, Zone } from '../time/index.ts';
import type { Presence } from './stint.ts';

/** Signed-in seconds without breaks, by the local day of the shift's beginning. For one technician.
 *  Source: docs/ledger.md, section 7. */
export function attendedByShiftDay(
  shifts: readonly Presence[],
  breaks: readonly Presence[],
  zone: Zone,
): ReadonlyMap<LocalDay, Seconds> {
  const sums = new Map<LocalDay, Seconds>();
  for (const shift of shifts) {
    const day = zone.dayAt(shift.from);
    const rested = breaks.reduce((sum, each) => sum + overlapSeconds(each, shift), 0);
    sums.set(day, toSeconds((sums.get(day) ?? 0) + lengthOf(shift) - rested));
  }
  return sums;
}
