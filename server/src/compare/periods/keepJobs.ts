import type { TechnicianId } from '@wergon/core/people';
import type { Instant } from '@wergon/core/time';
import type { WorkOrderId } from '@wergon/core/work';
import { factsNow } from '../../catalog/index.ts';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql, writeSql } from '../../db/index.ts';
import type { Database, Sql } from '../../db/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { costedAs, loadLabor } from '../taskLabor.ts';
import type { Costs } from '../taskLabor.ts';
import { loadDue, ordersInWork } from './finishedJobs.ts';
import { compareJobs, findFinished, tasksOf } from './jobs.ts';
import type { JobWithTasks } from './jobs.ts';
import { writeDifference } from './keptDifference.ts';
import type { KeptTasks } from './keptDifference.ts';

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
  const finished = [...findFinished(sql, facts, due).keys()];
  // Of a job that somebody is on nothing can be kept; it stays due.
  const inWork = finished.length > 0 ? ordersInWork(sql, facts, now) : new Set();
  sql.run('delete from "due_job" where "work_order" in (select "value" from json_each(?))', [
    JSON.stringify(due.filter((id) => !inWork.has(id))),
  ]);
  const orders = finished.flatMap((id) => (inWork.has(id) ? [] : (facts.orders.get(id) ?? [])));
  if (orders.length === 0) return;
  const labor = loadLabor(sql, facts, tasksOf(facts, orders), now, 'actual');
  const atStandard = labor.map((each) => ({ ...each, lines: costedAs(each.lines, facts, 'standard') }));
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
