import { groupDifferences, sumDifferences } from '@wergon/core/compare';
import type { Cause, CausedDifference } from '@wergon/core/compare';
import type { CauseCut, ComparedCausesJson } from '@wergon/contract/compare';
import { ok } from '@wergon/core/result';
import { parseDay } from '@wergon/core/time';
import { readSql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { costsFor } from '../taskLabor.ts';
import { loadFinishedJobs, loadTasksOf } from './finishedJobs.ts';
import { monthsOf, spanOf } from './jobs.ts';
import type { Job, TaskDifference } from './jobs.ts';
import { loadGradeNames, loadStandardTitles } from './names.ts';
import type { StandardTitles } from './names.ts';

/** Jobs of a group of causes that are listed, those first that count most. */
const MOST_OF_GROUP = 200;

/** Why the jobs of a period differ, cut the other way. Source: docs/compare.md, section 3. */
export function mountComparedCauses(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('comparedCauses', async ({ query: { from, to, by, group, cause }, who }) => {
    const known = await facts.seenBy(who.user);
    const [now, costs, titles] = [clock.now(), costsFor(who), await loadStandardTitles(database)];
    const { jobs, tasksOf } = await readSql(database, (sql) => {
      const span = spanOf(known, { firstDay: from, lastDay: to });
      const loaded = loadFinishedJobs(sql, known, span, now, costs);
      return { jobs: loaded, tasksOf: loadTasksOf(sql, known, loaded, costs) };
    });
    const monthIn = monthsOf(known);
    const tasks = jobs.flatMap((job) => {
      const month = monthIn(job);
      return (tasksOf.get(job.order.id) ?? []).map(({ task, current }) => ({ job, month, task, current }));
    });
    const keyOf = keysOf(by, titles, await loadGradeNames(database));
    const differenceOf = ({ current }: TaskOfJob) => current;
    const groups = groupDifferences(tasks, keyOf, differenceOf);
    const months = groupDifferences(tasks, ({ month }) => month, differenceOf);
    const countJobs = (items: readonly { readonly job: Job }[]) => new Set(items.map(({ job }) => job)).size;
    const asked = groups.find(({ key }) => key === group)?.items ?? [];
    return ok({
      asOf: now,
      firstDay: from,
      lastDay: to,
      costs,
      taskCount: tasks.length,
      jobCount: jobs.length,
      total: sumDifferences(tasks.map(differenceOf)),
      groups: groups.map(({ key, items, difference }) => ({
        key,
        taskCount: items.length,
        jobCount: countJobs(items),
        difference,
      })),
      months: months
        .flatMap(({ key, difference }) => {
          const month = parseDay(key);
          return month.ok ? [{ month: month.value, difference }] : [];
        })
        .sort((a, b) => a.month - b.month),
      jobs: writeJobsOf(asked, cause),
    });
  });
}

type TaskOfJob = TaskDifference & { readonly job: Job; readonly month: string };

/** What a task is put under, by what the causes are cut by. */
function keysOf(
  by: CauseCut,
  titles: StandardTitles,
  grades: ReadonlyMap<string, string>,
): (item: TaskOfJob) => string {
  switch (by) {
    case 'workCenter':
      return ({ task }) => task.workCenter;
    case 'task':
      return ({ task }) => task.title;
    case 'grade':
      return ({ task }) => grades.get(task.grade) ?? task.grade;
    case 'standard':
      return ({ task }) => titles.get(task.origin?.task ?? '') ?? '';
    case 'customer':
    case 'division':
    case 'jobType':
      return ({ job }) => job.order[by];
    case 'month':
      return ({ month }) => month;
  }
}

/** The jobs of a group, those first that a cause, or all of them, counts most in. */
function writeJobsOf(items: readonly TaskOfJob[], cause: Cause | undefined): ComparedCausesJson['jobs'] {
  const centsOf = ({ difference, causes }: CausedDifference) =>
    cause === undefined ? difference : (causes.find((each) => each.cause === cause)?.cents ?? 0);
  return groupDifferences(
    items,
    ({ job }) => job.order.id,
    ({ current }) => current,
  )
    .flatMap(({ items: [first], difference }) => {
      if (!first) return [];
      const { id, number, title, customer } = first.job.order;
      return [{ id, number, title, customer, difference }];
    })
    .sort((a, b) => Math.abs(centsOf(b.difference)) - Math.abs(centsOf(a.difference)))
    .slice(0, MOST_OF_GROUP);
}
