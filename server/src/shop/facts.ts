import { payRecordSchema } from '@wergon/contract/people';
import type { LedgerFacts, TargetFacts, TargetId } from '@wergon/core/ledger';
import { costRatesOf } from '@wergon/core/people';
import type { CostRate, RateRecord, TechnicianId } from '@wergon/core/people';
import { Defect } from '@wergon/core/result';
import { createZone } from '@wergon/core/time';
import { isWorkable } from '@wergon/core/work';
import type { Database } from '../db/index.ts';
import { CostRateEntity, TechnicianEntity } from '../people/entities.ts';
import type { Technician } from '../people/entities.ts';
import { OrderEntity, TaskEntity } from '../work/entities.ts';
import type { Task, WorkOrder } from '../work/entities.ts';
import { ActivityEntity, ListItemEntity, ResourceEntity, ShopEntity } from './entities.ts';
import type { Shop } from './entities.ts';

/** Everything but the journal that the ledger reads, and the names that go with it. */
export type ShopFacts = LedgerFacts & {
  readonly shop: Shop;
  /** Names of departments by their ids in the list. */
  readonly departments: ReadonlyMap<string, string>;
  /** Names of everything that a station can be set to, by id: departments, crews, work centers. */
  readonly groups: ReadonlyMap<string, string>;
  readonly technicians: ReadonlyMap<TechnicianId, Technician>;
  readonly orders: ReadonlyMap<string, WorkOrder>;
  readonly tasks: ReadonlyMap<TargetId, Task>;
  readonly activities: ReadonlyMap<
    TargetId,
    { readonly id: string; readonly title: string; readonly code: string; readonly isOff: boolean }
  >;
};

/** The facts of the shop, read once and kept until something of them changes; absent before the first run. */
export type FactsCache = {
  readonly find: () => Promise<ShopFacts | undefined>;
  readonly get: () => Promise<ShopFacts>;
  /** Whether facts are still those of now: nothing of them has changed since they were got. */
  readonly isCurrent: (facts: ShopFacts) => boolean;
  readonly forget: () => void;
};

export function createFactsCache(database: Database): FactsCache {
  let kept: Promise<ShopFacts | undefined> | undefined;
  let current: ShopFacts | undefined;
  function find(): Promise<ShopFacts | undefined> {
    if (kept) return kept;
    const own: Promise<ShopFacts | undefined> = loadFacts(database).then(
      (facts) => {
        // Facts that were forgotten while they were being read may be of before the change.
        if (kept === own) current = facts;
        return kept === own || kept === undefined ? facts : kept;
      },
      (error: unknown) => {
        if (kept === own) kept = undefined;
        throw error;
      },
    );
    return (kept = own);
  }
  return {
    find,
    get: async () => {
      const facts = await find();
      if (!facts) throw new Defect('the shop is not set up yet');
      return facts;
    },
    isCurrent: (facts) => facts === current,
    forget: () => {
      kept = undefined;
      current = undefined;
    },
  };
}

async function loadFacts(database: Database): Promise<ShopFacts | undefined> {
  const em = database.em.fork();
  const shop = await em.findOne(ShopEntity, { id: 1 });
  if (!shop) return undefined;
  const [technicians, rates, orders, tasks, activities] = [
    await em.findAll(TechnicianEntity),
    await em.findAll(CostRateEntity),
    await em.findAll(OrderEntity),
    await em.findAll(TaskEntity, { orderBy: { order: 1, position: 1 } }),
    await em.findAll(ActivityEntity),
  ];
  const listed = await em.find(ListItemEntity, { list: { $in: ['department', 'crew'] } });
  const centers = await em.find(ResourceEntity, { kind: 'work-center' });
  const zone = createZone(shop.zone);
  if (!zone.ok) throw new Defect(`stored zone: ${shop.zone}`);
  const orderById = new Map(orders.map((order) => [order.id, order]));
  const targets = new Map<TargetId, TargetFacts>();
  for (const { id, order, estimate, isAccepted } of tasks) {
    const states = orderById.get(order)?.states ?? [];
    const isReleased = states.map(({ from, value }) => ({ from, value: isAccepted && isWorkable(value) }));
    targets.set(id as TargetId, { kind: 'task', estimate, isReleased });
  }
  for (const { id, counts } of activities) targets.set(id as TargetId, { kind: 'activity', counts });
  return {
    zone: zone.value,
    policy: shop.policy,
    targets,
    costRates: costRatesByTechnician(rates),
    shop,
    departments: new Map(
      listed.filter(({ list }) => list === 'department').map(({ id, name }) => [id, name]),
    ),
    groups: new Map([...listed, ...centers].map(({ id, name }) => [id, name])),
    technicians: new Map(technicians.map((each) => [each.id as TechnicianId, each])),
    orders: orderById,
    tasks: new Map(tasks.map((task) => [task.id as TargetId, task])),
    activities: new Map(activities.map((activity) => [activity.id as TargetId, activity])),
  };
}

function costRatesByTechnician(
  rows: readonly { readonly technician: string; readonly record: string }[],
): ReadonlyMap<TechnicianId, readonly CostRate[]> {
  const records = new Map<TechnicianId, RateRecord[]>();
  for (const { technician, record } of rows) {
    const id = technician as TechnicianId;
    records.set(id, [...(records.get(id) ?? []), payRecordSchema.parse(JSON.parse(record))]);
  }
  return new Map([...records].map(([id, own]) => [id, costRatesOf(own)]));
}
