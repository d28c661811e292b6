import { lengthOf, subtract, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import { isUncounted } from './attendance.ts';
import type { LedgerFacts } from './facts.ts';
import type { Presence, Stint } from './stint.ts';

/** Signed-in seconds without breaks and without what does not count, by the local day of the shift's beginning. For one technician.
 *  Source: docs/ledger.md, section 7. */
export function attendedByShiftDay(
  shifts: readonly Presence[],
  breaks: readonly Presence[],
  stints: readonly Pick<Stint, 'from' | 'to' | 'running'>[],
  facts: LedgerFacts,
): ReadonlyMap<LocalDay, Seconds> {
  const sums = new Map<LocalDay, Seconds>();
  const uncounted = stints.filter((stint) => isUncounted(stint, facts));
  for (const shift of shifts) {
    const day = facts.zone.dayAt(shift.from);
    const there = subtract(
      [shift],
      [...breaks, ...uncounted].sort((a, b) => a.from - b.from),
    );
    const seconds = there.reduce((sum, span) => sum + lengthOf(span), 0);
    sums.set(day, toSeconds((sums.get(day) ?? 0) + seconds));
  }
  return sums;
}
