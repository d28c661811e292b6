import { toDay, addDays } from '@wergon/core/time';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';
import type { Database } from '@wergon/server/db';
import { countPieces } from './countPieces.ts';
import { createIds, weekdays } from './draw.ts';
import type { Draw } from './draw.ts';
import { enterOrders, simOrderOf } from './enterOrders.ts';
import { enterStandards } from './enterStandards.ts';
import { makeOrders } from './makeOrders.ts';
import { nameMachines } from './nameMachines.ts';
import type { Random } from './random.ts';
import { setUpShop } from './setUpShop.ts';
import { simulate } from './simulate.ts';
import type { SimEntry } from './simulate.ts';
import type { Size } from './size.ts';

/** So many days ago the shop changed its rules. */
const RULES_CHANGED = 21;

export type Play = {
  readonly zone: Zone;
  readonly firstDay: LocalDay;
  readonly opensAt: Instant;
  readonly size: Size;
  readonly random: Random;
  readonly draw: Draw;
};

/** Sets the sample shop up and plays it from its first day until it opens: people, standards and orders are entered, and
 *  every scan that is made is given, in order of time. */
export async function playShop(
  database: Database,
  { zone, firstDay, opensAt, size, random, draw }: Play,
): Promise<SimEntry[]> {
  const today = zone.dayAt(opensAt);
  const days = weekdays(firstDay, today);
  const rulesFrom = zone.startOf(addDays(today, -RULES_CHANGED));
  const { people, origins } = await database.em.fork().transactional(async (em) => ({
    people: await setUpShop(em, size, { firstDay, opensAt, today, rulesFrom }, draw),
    origins: await enterStandards(em, 'Paula Virta', zone.startOf(addDays(firstDay, -90))),
  }));
  const samples = makeOrders(days, random, origins, size.share);
  const simOrders = samples.map((sample, i) => simOrderOf(sample, i, zone, random));
  const entries = simulate(
    people,
    [...simOrders].sort((a, b) => a.dueDay - b.dueDay),
    days,
    opensAt,
    (day, seconds) => zone.startOf(toDay(day)) + seconds,
    random,
    createIds('e', random),
  );
  await database.em.fork().transactional((em) => enterOrders(em, samples, simOrders, opensAt, random, draw));
  const facts = new Map(
    simOrders.flatMap(({ tasks }, i) =>
      tasks.map(
        ({ id, step }) =>
          [id, { center: step.department, quantity: samples[i]?.order.quantity ?? 1 }] as const,
      ),
    ),
  );
  const machinesOf = new Map(
    [...new Set(size.machines.map(({ workCenter }) => workCenter))].map((center) => [
      center,
      size.machines.filter(({ workCenter }) => workCenter === center).map(({ name }) => name),
    ]),
  );
  const named = nameMachines(entries, (task) => {
    const center = facts.get(task)?.center;
    return (center && machinesOf.get(center)) ?? [];
  });
  return countPieces(named, (task) => facts.get(task)?.quantity ?? 1);
}
