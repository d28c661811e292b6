import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Cause, CausedDifference } from '@wergon/core/compare';
import type { TargetId } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { toSeconds } from '@wergon/core/time';
import type { Instant, Span } from '@wergon/core/time';
import type { WorkOrderId } from '@wergon/core/work';
import { factsNow } from '../../catalog/index.ts';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Task } from '../../work/index.ts';
import { readOwnJson, readSql, writeSql } from '../../db/index.ts';
import type { Database, Sql } from '../../db/index.ts';
import { loadRunning } from '../../ledger/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { costedAs, loadLabor } from '../taskLabor.ts';
import type { Costs } from '../taskLabor.ts';
import { compareJobs, deriveJobs, findFinished, tasksOf } from './jobs.ts';
import type { Job, JobWithTasks, TaskDifference } from './jobs.ts';

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

/** A difference as it is kept: seven figures, then cause, seconds and cents in turn. */
type KeptDifference = readonly (number | Cause)[];

const writeDifference = (of: CausedDifference): KeptDifference => [
  Number(of.isFinished),
  of.expectedSeconds,
  of.expectedCost,
  of.difference,
  of.differenceSeconds,
  of.includedSeconds,
  of.measuredSeconds,
  ...of.causes.flatMap(({ cause, seconds, cents }) => [cause, seconds, cents]),
];

function readDifference(kept: KeptDifference): CausedDifference {
  const figure = (at: number) => Number(kept[at]);
  const causes = [];
  for (let at = 7; at < kept.length; at += 3)
    causes.push({
      cause: kept[at] as Cause,
      seconds: toSeconds(figure(at + 1)),
      cents: toCents(figure(at + 2)),
    });
  return {
    isFinished: figure(0) === 1,
    expectedSeconds: toSeconds(figure(1)),
    expectedCost: toCents(figure(2)),
    difference: toCents(figure(3)),
    differenceSeconds: toSeconds(figure(4)),
    causes,
    includedSeconds: toSeconds(figure(5)),
    measuredSeconds: toSeconds(figure(6)),
  };
}

type KeptTasks = readonly (readonly [TargetId, KeptDifference])[];

const readTasks = (facts: ShopFacts, text: string): readonly TaskDifference[] =>
  readOwnJson<KeptTasks>(text).flatMap(([id, kept]) => {
    const task = facts.tasks.get(id);
    return task ? [{ task, current: readDifference(kept) }] : [];
  });

const loadDue = (sql: Sql): readonly WorkOrderId[] =>
  sql.all<{ order: WorkOrderId }>('select "work_order" as "order" from "due_job"').map(({ order }) => order);

/** Orders that somebody is on: what they differ by changes with every second. */
const ordersInWork = (sql: Sql, facts: ShopFacts, now: Instant): ReadonlySet<WorkOrderId> =>
  new Set(loadRunning(sql, facts, now).flatMap(({ target }) => facts.tasks.get(target)?.order ?? []));

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

/** Due jobs that are looked at in one transaction, so that scans go on in between. */
const AT_ONCE = 8;
/** How long scans have the database to themselves in between. */
const PAUSE_MS = 20;
const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));

/** Keeps what due jobs differ by, until none is left but those that somebody is on, or it is told to end. */
export async function keepJobs(
  { database, facts, clock }: Pick<LedgerContext, 'database' | 'facts' | 'clock'>,
  { isEnded = () => false, wait = pause }: { isEnded?: () => boolean; wait?: () => Promise<unknown> } = {},
): Promise<void> {
  const due = await readSql(database, loadDue);
  for (let next = 0; next < due.length; next += AT_ONCE) {
    const known = await facts.find();
    if (!known || isEnded()) return;
    const some = due.slice(next, next + AT_ONCE);
    await writeSql(database, (sql) => keepSome(sql, database, known, some, clock.now()));
    await wait();
  }
}

function keepSome(
  sql: Sql,
  database: Database,
  known: ShopFacts,
  asked: readonly WorkOrderId[],
  now: Instant,
): void {
  // Somebody else may have kept some of them meanwhile.
  const due = sql
    .all<{ order: WorkOrderId }>(
      'select "work_order" as "order" from "due_job" where "work_order" in (select "value" from json_each(?))',
      [JSON.stringify(asked)],
    )
    .map(({ order }) => order);
  const people = sql.all<{ technician: TechnicianId }>(
    `select distinct "technician" from "labor_line" where "target" in
       (select "id" from "task" where "work_order" in (select "value" from json_each(?)))`,
    [JSON.stringify(due)],
  );
  const ids = people.map(({ technician }) => technician);
  const facts = factsNow(sql, database, known, due, ids);
  const finished = new Set(findFinished(sql, facts, due).keys());
  // Of a job that somebody is on nothing can be kept; it stays due.
  const inWork = finished.size > 0 ? ordersInWork(sql, facts, now) : new Set();
  const orders = [...finished].flatMap((id) => (inWork.has(id) ? [] : (facts.orders.get(id) ?? [])));
  const labor = loadLabor(sql, facts, tasksOf(facts, orders), now, 'actual');
  const atStandard = labor.map((each) => ({ ...each, lines: costedAs(each.lines, facts, 'standard') }));
  sql.run('delete from "due_job" where "work_order" in (select "value" from json_each(?))', [
    JSON.stringify(due.filter((id) => !inWork.has(id))),
  ]);
  sql.insert('finished_job', [
    ...compareJobs(facts, orders, labor, 'actual').flatMap((job) => rowOf(job, 'actual')),
    ...compareJobs(facts, orders, atStandard, 'standard').flatMap((job) => rowOf(job, 'standard')),
  ]);
}

const rowOf = ({ order, finishedAt, taskCount, current, tasks }: JobWithTasks, costs: Costs) =>
  finishedAt === null
    ? []
    : [
        {
          work_order: order.id,
          costs,
          finished_at: finishedAt,
          task_count: taskCount,
          difference: JSON.stringify(writeDifference(current)),
          tasks: JSON.stringify(
            tasks.map(({ task, current: own }): KeptTasks[number] => [task.id, writeDifference(own)]),
          ),
        },
      ];
