import { atWallClock, createZone, formatDay, formatInstant, toInstant } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { OPENS } from './server.ts';
import { openShop } from './shop.ts';

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

/** A shop in which Ada worked yesterday from 7:00 to 10:00 and from 11:00 to 15:00, on one task after the other. */
export async function openShopWithYesterday() {
  const shop = await openShop();
  const [ada, bo] = shop.technicians.map(({ id }) => id) as [string, string];
  const [strip, winding] = [shop.order.tasks[0]?.id, shop.order.tasks[1]?.id];
  await shop.desk('/api/ledger/entries', {
    entries: [
      line('shift-in', ada, at(1, 7)),
      line('work-start', ada, at(1, 7), [strip]),
      line('work-stop', ada, at(1, 10)),
      line('work-start', ada, at(1, 11), [winding]),
      line('shift-out', ada, at(1, 15)),
    ],
  });
  return { shop, ada, bo };
}
