import { groupBy } from '@wergon/core/result';
import { finishedAtOf, sumDifferences } from '@wergon/core/compare';
import type { CausedDifference } from '@wergon/core/compare';
import { addDays, formatDay, monthOf } from '@wergon/core/time';
import type { Days, Instant, LocalDay, Span } from '@wergon/core/time';
import { isWorkable } from '@wergon/core/work';
import type { WorkOrderId } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Sql } from '../../db/index.ts';
import { loadFinished } from '../../ledger/index.ts';
import type { Task, WorkOrder } from '../../work/index.ts';
import { causesOfTasks } from '../caused.ts';
import { loadLabor } from '../taskLabor.ts';
import type { Costs, TaskWithLabor } from '../taskLabor.ts';

/** What a task of a job differs by from its current estimate. */
export type TaskDifference = { readonly task: Task; readonly current: CausedDifference };

/** A job with what it differs by. */
export type Job = {
  readonly order: WorkOrder;
  /** `null` of one that goes on. */
  readonly finishedAt: Instant | null;
  readonly taskCount: number;
  readonly current: CausedDifference;
};
/** The same with each of its tasks. */
export type JobWithTasks = Job & {
  readonly tasks: readonly TaskDifference[];
  /** Whether anybody has worked on it. */
  readonly hasBegun: boolean;
};

/** What jobs differ by, derived from their labor. */
export function deriveJobs(
  sql: Sql,
  facts: ShopFacts,
  ids: Iterable<WorkOrderId>,
  now: Instant,
  costs: Costs,
): readonly JobWithTasks[] {
  const orders = [...ids].flatMap((id) => facts.orders.get(id) ?? []);
  return compareJobs(facts, orders, loadLabor(sql, facts, tasksOf(facts, orders), now, costs), costs);
}

/** The tasks of some orders. */
export const tasksOf = ({ tasksByOrder }: ShopFacts, orders: readonly WorkOrder[]): readonly Task[] =>
  orders.flatMap(({ id }) => tasksByOrder.get(id) ?? []);

/** What jobs differ by, from the labor on their tasks. */
export function compareJobs(
  facts: ShopFacts,
  orders: readonly WorkOrder[],
  labor: readonly TaskWithLabor[],
  costs: Costs,
): readonly JobWithTasks[] {
  const byOrder = groupBy(labor, ({ task }) => task.order);
  return orders.map((order) => {
    const own = byOrder.get(order.id) ?? [];
    const tasks = causesOfTasks(facts, order, own, costs).map(({ labor: { task }, current }) => ({
      task,
      current,
    }));
    return {
      order,
      finishedAt: finishedAtOf(
        own.map(({ task: { isAccepted }, finishedAt }) => ({ isAccepted, finishedAt })),
        order.states,
      ),
      taskCount: tasks.length,
      current: sumDifferences(tasks.map(({ current }) => current)),
      tasks,
      hasBegun: own.some(({ lines }) => lines.length > 0),
    };
  });
}

/** Which of some orders are finished, and when, by what was said of their tasks: nothing of their labor is read. */
export function findFinished(
  sql: Sql,
  facts: ShopFacts,
  ids: Iterable<WorkOrderId>,
): ReadonlyMap<WorkOrderId, Instant> {
  const orders = [...ids].flatMap((id) => facts.orders.get(id) ?? []);
  const finished = loadFinished(
    sql,
    tasksOf(facts, orders).map(({ id }) => id),
  );
  return new Map(
    orders.flatMap((order) => {
      const tasks = tasksOf(facts, [order]).map(({ id, isAccepted }) => ({
        isAccepted,
        finishedAt: finished.get(id) ?? null,
      }));
      const at = finishedAtOf(tasks, order.states);
      return at === null ? [] : [[order.id, at] as const];
    }),
  );
}

/** Jobs that are on the floor and have begun. */
export function loadJobsOnFloor(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  costs: Costs,
): readonly JobWithTasks[] {
  const onFloor = [...facts.openOrders].filter((id) => {
    const state = facts.orders.get(id)?.states.at(-1)?.value;
    return state && (isWorkable(state) || state === 'on-hold');
  });
  return deriveJobs(sql, facts, onFloor, now, costs).filter(
    ({ finishedAt, hasBegun }) => finishedAt === null && hasBegun,
  );
}

/** Gives the month in which a job was finished, by its first day as text; '' of one that goes on. */
export function monthsOf({ zone }: ShopFacts): (job: Job) => string {
  const known = new Map<LocalDay, string>();
  return ({ finishedAt }) => {
    if (finishedAt === null) return '';
    const day = zone.dayAt(finishedAt);
    const month = known.get(day) ?? formatDay(monthOf(day));
    known.set(day, month);
    return month;
  };
}

/** The instants that some days reach over. */
export const spanOf = ({ zone }: ShopFacts, { firstDay, lastDay }: Days): Span => ({
  from: zone.startOf(firstDay),
  to: zone.startOf(addDays(lastDay, 1)),
});
