import {
  differenceScale,
  differenceSteps,
  findJobs,
  groupJobs,
  mainCauses,
  sumDifferences,
  valuesOfJobs,
} from '@wergon/core/compare';
import type { ListedJob } from '@wergon/core/compare';
import { ok } from '@wergon/core/result';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Sql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { costsFor } from '../taskLabor.ts';
import { loadFinishedJobs, loadTasksOf } from './finishedJobs.ts';
import { loadJobsOnFloor, monthsOf, spanOf } from './jobs.ts';
import type { Job, TaskDifference } from './jobs.ts';
import { loadEstimators, loadStandardTitles } from './names.ts';
import type { StandardTitles } from './names.ts';

/** What the jobs of a period differ by, and why. Source: docs/compare.md, section 3. */
export function mountComparedJobs(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('comparedJobs', async ({ query, who }) => {
    const { from, to, show, by, key, most } = query;
    const known = await facts.seenBy(who.user);
    const days = { firstDay: from, lastDay: to };
    const [now, costs, titles] = [clock.now(), costsFor(who), await loadStandardTitles(database)];
    return readSql(database, (sql) => {
      const jobs =
        show === 'floor'
          ? loadJobsOnFloor(sql, known, now, costs)
          : loadFinishedJobs(sql, known, spanOf(known, days), now, costs);
      const all = listJobs(sql, known, jobs, titles);
      const found = findJobs(all, { ...query, only: query });
      const groups = by === undefined ? [] : groupJobs(found, by);
      const listed = by === undefined ? found : (groups.find((each) => each.key === key)?.items ?? []);
      const bars =
        by === undefined ? found.map(({ current }) => current) : groups.map((each) => each.difference);
      const page = listed.slice(0, most);
      const pageJobs = page.map(({ job }) => job);
      const tasks = loadTasksOf(sql, known, pageJobs, costs);
      return ok({
        asOf: now,
        ...days,
        costs,
        all: { jobCount: all.length, values: valuesOfJobs(all) },
        jobCount: found.length,
        taskCount: found.reduce((sum, { job }) => sum + job.taskCount, 0),
        total: sumDifferences(found.map(({ current }) => current)),
        ruler: differenceSteps(found, days),
        scales: { money: differenceScale(bars, 'money'), hours: differenceScale(bars, 'hours') },
        groups: groups.map((group) => ({
          key: group.key,
          jobCount: group.items.length,
          difference: group.difference,
        })),
        jobs: page.map((each) => writeJob(each, tasks.get(each.job.order.id) ?? [])),
      });
    });
  });
}

type Listed = ListedJob & { readonly job: Job };

/** Jobs with all that a list of them is narrowed and put in order by. */
function listJobs(
  sql: Sql,
  facts: ShopFacts,
  jobs: readonly Job[],
  titles: StandardTitles,
): readonly Listed[] {
  const estimators = loadEstimators(
    sql,
    jobs.map(({ order }) => order.id),
  );
  const monthIn = monthsOf(facts);
  return jobs.map((job) => {
    const { id, number, title, customer, division, jobType } = job.order;
    // What an order was made of is the standard job of the first of its tasks that has one.
    const standard = facts.tasksByOrder.get(id)?.find(({ origin }) => origin?.job != null)?.origin?.job;
    return {
      job,
      number,
      title,
      customer,
      division,
      jobType,
      standard: standard == null ? '' : (titles.get(standard) ?? ''),
      estimator: estimators.get(id) ?? '',
      month: monthIn(job),
      finishedDay: job.finishedAt === null ? null : facts.zone.dayAt(job.finishedAt),
      current: job.current,
    };
  });
}

function writeJob(
  { job, number, title, customer, finishedDay, current }: Listed,
  tasks: readonly TaskDifference[],
) {
  return {
    id: job.order.id,
    number,
    title,
    customer,
    finishedDay,
    hasEstimate: tasks.some(({ task }) => task.hasEstimate),
    taskCount: job.taskCount,
    current,
    main: mainCauses(
      current,
      tasks.map((each) => ({ title: each.task.title, difference: each.current })),
    ),
  };
}
