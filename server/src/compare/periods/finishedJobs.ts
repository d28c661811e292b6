import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { CausedDifference } from '@wergon/core/compare';
import type { TargetId } from '@wergon/core/ledger';
import type { Instant, Span } from '@wergon/core/time';
import type { WorkOrderId } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Task } from '../../work/index.ts';
import { readOwnJson } from '../../db/index.ts';
import type { Sql } from '../../db/index.ts';
import { loadRunning, loadRunningPremiums } from '../../ledger/index.ts';
import type { Costs } from '../taskLabor.ts';
import { deriveJobs, findFinished } from './jobs.ts';
import type { Job, JobWithTasks, TaskDifference } from './jobs.ts';
import { readDifference } from './keptDifference.ts';
import type { KeptTasks } from './keptDifference.ts';

/** Projection: what jobs that are finished differ by, so that a year of them is read and not derived. */
export const FinishedJobEntity = defineEntity({
  name: 'FinishedJobRow',
  tableName: 'finished_job',
  indexes: [{ properties: ['costs', 'finishedAt'] }],
  properties: {
    order: p.string().$type<WorkOrderId>().primary().fieldName('work_order'),
    costs: p.string().$type<Costs>().primary(),
    finishedAt: p.integer().$type<Instant>(),
    taskCount: p.integer(),
    difference: p.text(),
    tasks: p.text(),
  },
});
type KeptJob = InferEntity<typeof FinishedJobEntity>;

/** Projection: jobs of which something has changed since they were kept. Triggers of the database write them down, so that
 *  nothing that changes a job can forget to. A job that is finished is either kept or due. */
export const DueJobEntity = defineEntity({
  name: 'DueJobRow',
  tableName: 'due_job',
  properties: { order: p.string().$type<WorkOrderId>().primary().fieldName('work_order') },
});

const readTasks = (facts: ShopFacts, text: string): readonly TaskDifference[] =>
  readOwnJson<KeptTasks>(text).flatMap(([id, kept]) => {
    const task = facts.tasks.get(id);
    return task ? [{ task, current: readDifference(kept) }] : [];
  });

/** Jobs that are to be looked at anew. */
export const loadDue = (sql: Sql): readonly WorkOrderId[] =>
  sql.all<{ order: WorkOrderId }>('select "work_order" as "order" from "due_job"').map(({ order }) => order);

/** Orders that somebody is on, and those of a week over which that somebody's overtime is spread: what they differ by
 *  changes with every second. */
export const ordersInWork = (sql: Sql, facts: ShopFacts, now: Instant): ReadonlySet<WorkOrderId> =>
  new Set(
    [...loadRunning(sql, facts, now), ...[...loadRunningPremiums(sql, facts, now).values()].flat()].flatMap(
      ({ target }) => facts.tasks.get(target)?.order ?? [],
    ),
  );

/** Jobs that were finished in a span: those that are kept, and those of which something goes on or has just changed. */
export function loadFinishedJobs(
  sql: Sql,
  facts: ShopFacts,
  span: Span,
  now: Instant,
  costs: Costs,
): readonly (Job | JobWithTasks)[] {
  const fresh = new Set([...loadDue(sql), ...ordersInWork(sql, facts, now)]);
  const kept = sql
    .all<Pick<KeptJob, 'order' | 'finishedAt' | 'taskCount' | 'difference'>>(
      `select "work_order" as "order", "finished_at" as "finishedAt", "task_count" as "taskCount", "difference"
       from "finished_job" where "costs" = ? and "finished_at" >= ? and "finished_at" < ?`,
      [costs, span.from, span.to],
    )
    .flatMap(({ order: id, difference, ...rest }): Job[] => {
      const order = fresh.has(id) ? undefined : facts.orders.get(id);
      return order ? [{ order, current: readDifference(readOwnJson(difference)), ...rest }] : [];
    });
  const changed = [...findFinished(sql, facts, fresh)].flatMap(([id, at]) =>
    at >= span.from && at < span.to ? id : [],
  );
  return [...kept, ...deriveJobs(sql, facts, changed, now, costs)];
}

/** What each task of some of these jobs differs by. */
export function loadTasksOf(
  sql: Sql,
  facts: ShopFacts,
  jobs: readonly (Job | JobWithTasks)[],
  costs: Costs,
): ReadonlyMap<WorkOrderId, readonly TaskDifference[]> {
  const asked = jobs.flatMap((job) => ('tasks' in job ? [] : job.order.id));
  const given = jobs.flatMap((job) => ('tasks' in job ? [[job.order.id, job.tasks] as const] : []));
  return new Map([...loadKeptTasks(sql, facts, asked, costs), ...given]);
}

const loadKeptTasks = (
  sql: Sql,
  facts: ShopFacts,
  orders: readonly WorkOrderId[],
  costs: Costs,
): ReadonlyMap<WorkOrderId, readonly TaskDifference[]> =>
  new Map(
    sql
      .all<Pick<KeptJob, 'order' | 'tasks'>>(
        // A cross join is looked up in the order in which it is written.
        `select k."work_order" as "order", k."tasks" from json_each(?) o
         cross join "finished_job" k on k."work_order" = o."value" and k."costs" = ?`,
        [JSON.stringify(orders), costs],
      )
      .map(({ order, tasks }) => [order, readTasks(facts, tasks)]),
  );

/** What some tasks differ by: of jobs that are kept it is read, of others derived. */
export function loadTaskDifferences(
  sql: Sql,
  facts: ShopFacts,
  tasks: readonly Task[],
  now: Instant,
  costs: Costs,
): ReadonlyMap<TargetId, CausedDifference> {
  const fresh = new Set([...loadDue(sql), ...ordersInWork(sql, facts, now)]);
  const ids = [...new Set(tasks.map(({ order }) => order))];
  const kept = loadKeptTasks(
    sql,
    facts,
    ids.filter((id) => !fresh.has(id)),
    costs,
  );
  const derived = deriveJobs(
    sql,
    facts,
    ids.filter((id) => !kept.has(id)),
    now,
    costs,
  );
  const all = [...kept.values(), ...derived.map((job) => job.tasks)].flat();
  return new Map(all.map(({ task, current }) => [task.id, current]));
}
