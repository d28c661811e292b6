import { groupDifferences, mainCauses, mostOver, sumDifferences } from '@wergon/core/compare';
import type { CausedDifference } from '@wergon/core/compare';
import type { CauseCut, ComparedCausesJson } from '@wergon/contract/compare';
import { ok } from '@wergon/core/result';
import { formatDay, monthOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { sumCaused } from '../caused.ts';
import type { Caused } from '../caused.ts';
import { costsFor } from '../taskLabor.ts';
import { loadJobs } from './jobs.ts';
import type { Job } from './jobs.ts';
import { loadEstimators, loadGradeNames, loadStandardTitles } from './names.ts';
import type { StandardTitles } from './names.ts';

/** What the jobs of a period differ by, and why. Source: docs/compare.md, section 3. */
export function mountComparedJobs(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('comparedJobs', async ({ query: { from, to, show }, who }) => {
    const known = await facts.seenBy(who.user);
    const [now, costs, titles] = [clock.now(), costsFor(who), await loadStandardTitles(database)];
    const { jobs, estimators } = await readSql(database, (sql) => {
      const loaded = loadJobs(sql, known, { firstDay: from, lastDay: to, show }, now, costs);
      return {
        jobs: loaded,
        estimators: loadEstimators(
          sql,
          loaded.map(({ order }) => order.id),
        ),
      };
    });
    return ok({
      asOf: now,
      firstDay: from,
      lastDay: to,
      costs,
      total: sumCaused(jobs.flatMap(({ tasks }) => tasks)),
      jobs: jobs
        .map((job) => writeJob(known, job, titles, estimators.get(job.order.id) ?? ''))
        .sort((a, b) => mostOver(a.current, b.current)),
    });
  });

  mount('comparedCauses', async ({ query: { from, to, by, group, cause }, who }) => {
    const known = await facts.seenBy(who.user);
    const [now, costs, titles] = [clock.now(), costsFor(who), await loadStandardTitles(database)];
    const jobs = await readSql(database, (sql) =>
      loadJobs(sql, known, { firstDay: from, lastDay: to, show: 'finished' }, now, costs),
    );
    const tasks = jobs.flatMap((job) => job.tasks.map((task) => ({ job, task })));
    const keyOf = keysOf(known, by, titles, await loadGradeNames(database));
    const groups = groupDifferences(tasks, keyOf, ({ task }) => task.current);
    const months = new Set(jobs.flatMap((job) => monthIn(known, job) ?? []));
    const countJobs = (items: readonly { readonly job: Job }[]) => new Set(items.map(({ job }) => job)).size;
    const asked = groups.find(({ key }) => key === group)?.items ?? [];
    return ok({
      asOf: now,
      firstDay: from,
      lastDay: to,
      costs,
      taskCount: tasks.length,
      jobCount: jobs.length,
      total: sumDifferences(tasks.map(({ task }) => task.current)),
      groups: groups.map(({ key, items, difference }) => ({
        key,
        taskCount: items.length,
        jobCount: countJobs(items),
        difference,
      })),
      months: [...months]
        .sort((a, b) => a - b)
        .map((month) => ({
          month,
          difference: sumDifferences(
            tasks.flatMap(({ job, task }) => (monthIn(known, job) === month ? [task.current] : [])),
          ),
        })),
      jobs: writeJobsOf(asked, cause),
    });
  });
}

function writeJob(
  facts: ShopFacts,
  { order, finishedAt, tasks }: Job,
  titles: StandardTitles,
  estimator: string,
) {
  const sums = sumCaused(tasks);
  return {
    id: order.id,
    number: order.number,
    title: order.title,
    customer: order.customer,
    division: order.division,
    jobType: order.jobType,
    standard: standardJobOf(tasks, titles),
    estimator,
    finishedDay: finishedAt === null ? null : facts.zone.dayAt(finishedAt),
    hasEstimate: tasks.some(({ labor }) => labor.task.hasEstimate),
    taskCount: tasks.length,
    price: order.price ?? null,
    ...sums,
    main: mainCauses(
      sums.current,
      tasks.map(({ labor, current }) => ({ title: labor.task.title, difference: current })),
    ),
  };
}

/** The title of the standard job that an order was made of. */
const standardJobOf = (tasks: readonly Caused[], titles: StandardTitles): string => {
  const job = tasks.map(({ labor }) => labor.task.origin?.job).find((id) => id != null);
  return job === undefined ? '' : (titles.get(job) ?? '');
};

type TaskOfJob = { readonly job: Job; readonly task: Caused };

/** What a task is put under, by what the causes are cut by. */
function keysOf(
  facts: ShopFacts,
  by: CauseCut,
  titles: StandardTitles,
  grades: ReadonlyMap<string, string>,
): (item: TaskOfJob) => string {
  switch (by) {
    case 'workCenter':
      return ({ task }) => task.labor.task.workCenter;
    case 'task':
      return ({ task }) => task.labor.task.title;
    case 'grade':
      return ({ task }) => grades.get(task.labor.task.grade) ?? task.labor.task.grade;
    case 'standard':
      return ({ task }) => titles.get(task.labor.task.origin?.task ?? '') ?? '';
    case 'customer':
    case 'division':
    case 'jobType':
      return ({ job }) => job.order[by];
    case 'month':
      return ({ job }) => {
        const month = monthIn(facts, job);
        return month === null ? '' : formatDay(month);
      };
  }
}

/** The first day of the month in which a job was finished. */
const monthIn = ({ zone }: ShopFacts, { finishedAt }: Job): LocalDay | null =>
  finishedAt === null ? null : monthOf(zone.dayAt(finishedAt));

/** The jobs of a group, those first that a cause, or all of them, counts most in. */
function writeJobsOf(
  items: readonly TaskOfJob[],
  cause: CausedDifference['causes'][number]['cause'] | undefined,
): ComparedCausesJson['jobs'] {
  const centsOf = ({ difference, causes }: CausedDifference) =>
    cause === undefined ? difference : (causes.find((each) => each.cause === cause)?.cents ?? 0);
  return groupDifferences(
    items,
    ({ job }) => job.order.id,
    ({ task }) => task.current,
  )
    .flatMap(({ items: [first], difference }) => {
      if (!first) return [];
      const { id, number, title, customer } = first.job.order;
      return [{ id, number, title, customer, difference }];
    })
    .sort((a, b) => Math.abs(centsOf(b.difference)) - Math.abs(centsOf(a.difference)));
}
