import { ROUTES } from '@wergon/contract/routes';
import type { Route } from '@wergon/contract/routes';
import type { TestShop } from './testShop.fixture.ts';

/** Every route of the desk that answers something, with its name. */
export const READS = (Object.entries(ROUTES) as [string, Route][]).filter(
  ([, { method, caller }]) => method === 'get' && caller !== 'station',
);

/** Reads of what a small shop has none of: they are asked for a record that does not exist, for offers that it does not make,
 *  or for one's own time by somebody who is not on the floor. */
export const OF_NOTHING = [
  'attachment',
  'standardVersions',
  'unitHistory',
  'estimates',
  'orderOffers',
  'mails',
  'ownCard',
  'ownTimeOff',
  'payFileText',
];

/** The path of a read, with the query that it needs to answer, in a test's shop on the day of its labor. */
export function pathOfRead(shop: TestShop, name: string): string {
  const route = (ROUTES as Readonly<Record<string, Route>>)[name];
  const path = (route?.path ?? '')
    .replace(':order', shop.order)
    .replace(':technician', shop.ada)
    .replace(/:\w+/g, 'none');
  const [day, week] = ['2026-03-03', 'from=2026-03-02&to=2026-03-08'];
  const cut = (...by: string[]) => `?${week}&cut=${encodeURIComponent(JSON.stringify({ by }))}`;
  const queries: Readonly<Record<string, string>> = {
    story: `?order=${shop.order}`,
    jobWeek: `?target=${shop.winding}&day=${day}`,
    line: `?technician=${shop.ada}&target=${shop.winding}&workType=run&day=${day}`,
    personDay: `?technician=${shop.ada}&day=${day}`,
    week: `?technician=${shop.ada}&day=${day}`,
    card: `?technician=${shop.ada}&${week}`,
    daySplit: `?technician=${shop.ada}&day=${day}`,
    floorChanges: `?after=1&day=${day}`,
    payPeriod: '?firstDay=2026-03-02',
    payFile: '?firstDay=2026-03-02',
    targets: '?search=winding',
    comparedJobs: `?${week}&show=floor`,
    comparedCauses: `?${week}&by=task&group=Strip`,
    comparedPeople: `?${week}`,
    comparedMachines: `?${week}`,
    payFileText: '?id=none',
    timeOff: '?from=2026-03-02',
    cut: cut('person', 'order', 'day'),
  };
  return path + (queries[name] ?? '');
}
