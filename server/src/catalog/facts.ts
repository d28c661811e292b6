import type { WorkOrderId } from '@wergon/core/work';
import type { EntityManager } from '@mikro-orm/libsql';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import type { TargetFacts, TargetId } from '@wergon/core/ledger';
import { Defect } from '@wergon/core/result';
import { createZone } from '@wergon/core/time';
import { isWorkable } from '@wergon/core/work';
import { findPlain, readSql } from '../db/index.ts';
import type { Database } from '../db/index.ts';
import {
  costRatesByTechnician,
  premiumRatesByTechnician,
  gradeRatesOf,
  gradesByTechnician,
  CostRateEntity,
  GradeEntity,
  PayGroupEntity,
  TechnicianEntity,
} from '../people/index.ts';
import { OrderEntity, TaskEntity } from '../work/index.ts';
import type { Task, WorkOrder } from '../work/index.ts';
import {
  ActivityEntity,
  ClosedDayEntity,
  ListItemEntity,
  OvertimeRuleEntity,
  ResourceEntity,
  ShopEntity,
  settingsOf,
} from '../shop/index.ts';
import type { Activity } from '../shop/index.ts';
import type { DeskUser, Stale } from '../http/index.ts';
import { createWeekOf, readRule } from './overtimeFacts.ts';
import type { ShopFacts } from './shopFacts.ts';
import { factsSeenBy } from './sight.ts';

/** The facts of the shop, read once and kept until something of them changes; absent before the first run. Orders are by
 *  far the most of them and are read anew one by one, so that a change costs the same in an old shop as in a young one. */
export type FactsCache = {
  readonly find: () => Promise<ShopFacts | undefined>;
  readonly get: () => Promise<ShopFacts>;
  /** The same with nobody in them but the people of whom a user is told. */
  readonly seenBy: (user: DeskUser) => Promise<ShopFacts>;
  /** Whether facts are still those of now: nothing of them has changed since they were got. */
  readonly isCurrent: (facts: ShopFacts) => boolean;
  readonly forget: (...stale: readonly Stale[]) => void;
  /** How often something was forgotten, and what since then: another reader of the same database forgets it too. */
  readonly forgotten: (since: number) => { readonly count: number; readonly stale: readonly Stale[] };
};

/** Changes that another reader may be behind before it reads everything anew. */
const MOST_REMEMBERED = 500;

export function createFactsCache(database: Database): FactsCache {
  let orders: Orders | undefined;
  let stale = new Set<WorkOrderId>();
  let areOrdersStale = true;
  let base: Base | undefined | 'stale' = 'stale';
  let current: ShopFacts | undefined;
  let loading: Promise<ShopFacts | undefined> | undefined;
  let count = 0;
  let remembered: Stale[] = [];

  async function load(): Promise<ShopFacts | undefined> {
    for (;;) {
      const before = count;
      const em = database.em.fork();
      const nextBase = base === 'stale' ? await loadBase(em) : base;
      const wanted = areOrdersStale ? 'all' : [...stale];
      const nextOrders = await refreshOrders(database, orders, wanted);
      // What was forgotten while this was being read may be of before the change.
      if (count !== before) continue;
      [base, orders, stale, areOrdersStale] = [nextBase, nextOrders, new Set(), false];
      current = nextBase && compose(nextBase, nextOrders);
      return current;
    }
  }
  function find(): Promise<ShopFacts | undefined> {
    if (current) return Promise.resolve(current);
    return (loading ??= load().finally(() => {
      loading = undefined;
    }));
  }
  async function get(): Promise<ShopFacts> {
    const facts = await find();
    if (!facts) throw new Defect('the shop is not set up yet');
    return facts;
  }
  return {
    find,
    get,
    seenBy: async (user) => factsSeenBy(await get(), user),
    isCurrent: (facts) => facts === current,
    forget: (...what) => {
      for (const each of what.length === 0 ? (['shop'] as const) : what) {
        if (each === 'shop') base = 'stale';
        else if (each === 'orders') areOrdersStale = true;
        else for (const id of each) stale.add(id);
        count += 1;
        remembered = [...remembered, each].slice(-MOST_REMEMBERED);
      }
      current = undefined;
    },
    forgotten: (since) => ({
      count,
      stale:
        count - since > remembered.length
          ? ['shop', 'orders']
          : remembered.slice(remembered.length - (count - since)),
    }),
  };
}

type Orders = {
  readonly orders: Map<WorkOrderId, WorkOrder>;
  readonly tasks: Map<TargetId, Task>;
  readonly tasksByOrder: Map<WorkOrderId, Task[]>;
  readonly targets: Map<TargetId, TargetFacts>;
  readonly openOrders: Set<WorkOrderId>;
};
const noOrders = (): Orders => ({
  orders: new Map(),
  tasks: new Map(),
  tasksByOrder: new Map(),
  targets: new Map(),
  openOrders: new Set(),
});
type Base = NonNullable<Awaited<ReturnType<typeof loadBase>>>;

async function loadBase(em: EntityManager) {
  const shop = await em.findOne(ShopEntity, { id: 1 });
  if (!shop) return undefined;
  const zone = createZone(shop.zone);
  if (!zone.ok) throw new Defect(`stored zone: ${shop.zone}`);
  const listed = await em.find(ListItemEntity, { list: { $in: ['department', 'crew', 'division'] } });
  const centers = await em.find(ResourceEntity, { kind: 'work-center' });
  const rates = await em.findAll(CostRateEntity);
  const grades = await em.findAll(GradeEntity);
  const technicians = await em.findAll(TechnicianEntity);
  const activities = await em.findAll(ActivityEntity);
  const rules = (await em.findAll(OvertimeRuleEntity)).map(readRule);
  const memberships = await em.findAll(PayGroupEntity);
  const closedDays = await em.findAll(ClosedDayEntity);
  const namesOf = (list: string) =>
    new Map(listed.filter((each) => each.list === list).map(({ id, name }) => [id, name]));
  return {
    shop,
    zone: zone.value,
    policy: shop.policy.map(({ from, value }) => ({ from, value: { ...DEFAULT_POLICY, ...value } })),
    costRates: costRatesByTechnician(rates),
    overtime: {
      basis: settingsOf(shop).pay.basis,
      rules,
      weekOf: createWeekOf(rules, memberships),
      premiumRates: premiumRatesByTechnician(rates),
      closedDays: new Set(closedDays.map(({ day }) => day)),
    },
    gradesOf: gradesByTechnician(rates),
    gradeRates: new Map(grades.map((grade) => [grade.id, gradeRatesOf(grade)])),
    departments: namesOf('department'),
    crews: namesOf('crew'),
    groups: new Map([...listed, ...centers].map(({ id, name }) => [id, name])),
    technicians: new Map(technicians.map((each) => [each.id, each])),
    activities: new Map(activities.map((activity) => [activity.id, titled(activity, activities)])),
  };
}

/** Divisions may have an activity of one name each: then the name says whose it is. */
const titled = (activity: Activity, all: readonly Activity[]): Activity =>
  activity.division !== '' && all.some(({ id, title }) => id !== activity.id && title === activity.title)
    ? { ...activity, title: `${activity.title}, ${activity.division}` }
    : activity;

/** Orders and tasks as they are now: all of them read, or only those that have changed. */
async function refreshOrders(
  database: Database,
  before: Orders | undefined,
  wanted: 'all' | readonly WorkOrderId[],
): Promise<Orders> {
  const isAll = wanted === 'all' || !before;
  if (!isAll && wanted.length === 0) return before;
  const among = (column: string) => (isAll ? {} : { where: { column, among: wanted } });
  const { found, foundTasks } = await readSql(database, (sql) => ({
    found: findPlain(sql, database, OrderEntity, among('id')),
    foundTasks: findPlain(sql, database, TaskEntity, {
      ...among('work_order'),
      sortedBy: ['work_order', 'position'],
    }),
  }));
  // Changed in place: to copy what a hundred thousand tasks are found by would cost more with every year.
  const next = isAll ? noOrders() : before;
  const { orders, tasks, tasksByOrder, targets, openOrders } = next;
  for (const id of isAll ? [] : wanted) {
    for (const task of tasksByOrder.get(id) ?? []) {
      tasks.delete(task.id);
      targets.delete(task.id);
    }
    orders.delete(id);
    tasksByOrder.delete(id);
    openOrders.delete(id);
  }
  for (const order of found) {
    orders.set(order.id, order);
    if (!PAST.includes(order.states.at(-1)?.value ?? 'draft')) openOrders.add(order.id);
  }
  for (const task of foundTasks) {
    const id = task.id;
    const own = tasksByOrder.get(task.order);
    if (own) own.push(task);
    else tasksByOrder.set(task.order, [task]);
    const states = orders.get(task.order)?.states ?? [];
    const isReleased = states.map(({ from, value }) => ({
      from,
      value: task.isAccepted && isWorkable(value),
    }));
    tasks.set(id, task);
    targets.set(id, { kind: 'task', estimate: task.estimate, isReleased });
  }
  return next;
}

/** States of orders whose work is behind them. */
const PAST: readonly string[] = ['lost', 'finished', 'closed'];

function compose(base: Base, orders: Orders): ShopFacts {
  for (const { id, counts, isPaid } of base.activities.values())
    orders.targets.set(id, { kind: 'activity', counts, isPaid });
  return { ...base, ...orders };
}
