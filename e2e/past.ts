import { atWallClock, createZone, formatDay, formatInstant, toInstant } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { OPENS } from './server.ts';

const made = createZone('Europe/Oslo');
if (!made.ok) throw new Error('zone');
const zone = made.value;
// Days before the one on which the tests begin, in the tests' shop, and what was scanned on them.
export const today = zone.dayAt(toInstant(Date.parse(OPENS) / 1000));
export const dayAgo = (days: number) => formatDay((today - days) as LocalDay);
export const at = (daysAgo: number, hours: number) =>
  formatInstant(atWallClock(zone, (today - daysAgo) as LocalDay, hours * 3600));

let drawn = 0;
/** A line of the journal as the desk writes it. */
export const line = (
  type: string,
  technician: string | undefined,
  instant: string,
  targets?: (string | undefined)[],
) => {
  const id = `true-${(drawn += 1)}`;
  const entry = { id, type, at: instant, technician, ...(targets ? { targets } : {}) };
  return { source: 'desk', via: [], action: id, deviceAt: instant, clockOffset: 0, entry };
};
