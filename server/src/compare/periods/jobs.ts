import { finishedAtOf } from '@wergon/core/compare';
import { addDays } from '@wergon/core/time';
import type { Days, Instant } from '@wergon/core/time';
import { isWorkable } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Sql } from '../../db/index.ts';
import { loadMarkedIn } from '../../ledger/index.ts';
import type { WorkOrder } from '../../work/index.ts';
import { causesOfTasks } from '../caused.ts';
import type { Caused } from '../caused.ts';
import { loadLabor } from '../taskLabor.ts';
import type { Costs, TaskWithLabor } from '../taskLabor.ts';

/** A job with why each of its tasks differs. */
export type Job = {
  readonly order: WorkOrder;
  readonly finishedAt: Instant | null;
  readonly tasks: readonly Caused[];
};

/** Which jobs to look at: those that were finished on some days, or those that are on the floor and have begun. */
export type AskedJobs = Days & { readonly show: 'finished' | 'floor' };

/** Jobs with why they differ. What is read is those jobs alone, however many there have been before. */
export function loadJobs(
  sql: Sql,
  facts: ShopFacts,
  asked: AskedJobs,
  now: Instant,
  costs: Costs,
): readonly Job[] {
  const orders = asked.show === 'floor' ? onTheFloor(facts) : maybeFinished(sql, facts, asked);
  const tasks = orders.flatMap(({ id }) => facts.tasksByOrder.get(id) ?? []);
  const labor = new Map<string, TaskWithLabor[]>(orders.map(({ id }) => [id, []]));
  for (const each of loadLabor(sql, facts, tasks, now, costs)) labor.get(each.task.order)?.push(each);
  const span = spanOf(facts, asked);
  return orders.flatMap((order) => {
    const own = labor.get(order.id) ?? [];
    const finishedAt = finishedAtOf(
      own.map((each) => ({ finishedAt: each.finishedAt, isAccepted: each.task.isAccepted })),
      order.states,
    );
    const isWanted =
      asked.show === 'finished'
        ? finishedAt !== null && finishedAt >= span.from && finishedAt < span.to
        : finishedAt === null && own.some(({ lines }) => lines.length > 0);
    return isWanted ? [{ order, finishedAt, tasks: causesOfTasks(facts, order, own, costs) }] : [];
  });
}

/** The instants that some days reach over. */
export const spanOf = ({ zone }: ShopFacts, { firstDay, lastDay }: Days) => ({
  from: zone.startOf(firstDay),
  to: zone.startOf(addDays(lastDay, 1)),
});

const onTheFloor = ({ orders, openOrders }: ShopFacts): readonly WorkOrder[] =>
  [...openOrders].flatMap((id) => {
    const order = orders.get(id);
    const state = order?.states.at(-1)?.value;
    return order && state && (isWorkable(state) || state === 'on-hold') ? [order] : [];
  });

/** Orders of which something was finished in the period, and those that were finished or closed themselves. */
function maybeFinished(sql: Sql, facts: ShopFacts, days: Days): readonly WorkOrder[] {
  const span = spanOf(facts, days);
  const marked = new Set(loadMarkedIn(sql, span).map((target) => facts.tasks.get(target)?.order));
  return [...facts.orders.values()].filter(
    (order) =>
      marked.has(order.id) ||
      (!facts.openOrders.has(order.id) &&
        order.states.some(({ from }) => from >= span.from && from < span.to)),
  );
}
