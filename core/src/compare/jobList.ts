import { addDays, mondayOf, monthOf } from '../time/index.ts';
import type { Days, LocalDay } from '../time/index.ts';
import { toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import type { CausedDifference } from './causes.ts';
import { groupDifferences } from './groups.ts';
import type { DifferenceGroup } from './groups.ts';

/** What jobs are narrowed and grouped by. */
export const JOB_FIELDS = ['customer', 'division', 'jobType', 'standard', 'estimator', 'month'] as const;
export type JobField = (typeof JOB_FIELDS)[number];

/** A job in a list: what it is looked for, narrowed, grouped and put in order by. A field of which it has nothing is ''; its
 *  month is told by its first day, so that months can be put in order. */
export type ListedJob = Readonly<Record<JobField, string>> & {
  readonly number: string;
  readonly title: string;
  /** The local day on which it was finished; `null` while it goes on. */
  readonly finishedDay: LocalDay | null;
  readonly current: CausedDifference;
};

const SORTS = {
  over: (a: ListedJob, b: ListedJob) => b.current.difference - a.current.difference,
  hours: (a: ListedJob, b: ListedJob) => b.current.differenceSeconds - a.current.differenceSeconds,
  under: (a: ListedJob, b: ListedJob) => a.current.difference - b.current.difference,
  latest: (a: ListedJob, b: ListedJob) => (b.finishedDay ?? 0) - (a.finishedDay ?? 0),
  number: () => 0,
} as const;
export type JobSort = keyof typeof SORTS;
export const JOB_SORTS = ['over', 'hours', 'under', 'latest', 'number'] as const satisfies readonly JobSort[];

/** Which of some jobs are looked at, and in which order. */
export type AskedList = {
  readonly only: Partial<Readonly<Record<JobField, string>>>;
  readonly search: string;
  readonly sort: JobSort;
};

/** Jobs that match some words and are of what was narrowed to, in an order; where that says nothing, by number. */
export function findJobs<Job extends ListedJob>(
  jobs: readonly Job[],
  { only, search, sort }: AskedList,
): readonly Job[] {
  const words = search.trim().toLowerCase();
  const fields = JOB_FIELDS.filter((field) => only[field] !== undefined);
  return jobs
    .filter(
      (job) =>
        fields.every((field) => job[field] === only[field]) &&
        (words === '' || `${job.number} ${job.title} ${job.customer}`.toLowerCase().includes(words)),
    )
    .sort((a, b) => SORTS[sort](a, b) || (a.number < b.number ? -1 : 1));
}

/** The values that jobs have in each field, in order; that some have none is no value. */
export function valuesOfJobs(jobs: readonly ListedJob[]): Readonly<Record<JobField, readonly string[]>> {
  const of = (field: JobField) => [...new Set(jobs.map((job) => job[field]))].filter(Boolean).sort();
  return {
    customer: of('customer'),
    division: of('division'),
    jobType: of('jobType'),
    standard: of('standard'),
    estimator: of('estimator'),
    month: of('month'),
  };
}

/** Jobs by a field, with what each group differs by. */
export const groupJobs = <Job extends ListedJob>(
  jobs: readonly Job[],
  field: JobField,
): readonly DifferenceGroup<Job>[] =>
  groupDifferences(
    jobs,
    (job) => job[field],
    ({ current }) => current,
  );

/** More weeks than this are told by month. */
const MOST_WEEKS = 27;

/** What jobs differ by in the weeks, or the months, in which they were finished; each from its first day. */
export type DifferenceSteps = {
  readonly isMonthly: boolean;
  readonly steps: readonly { readonly firstDay: LocalDay; readonly cents: Cents }[];
};

/** The difference of some jobs by the week in which they were finished, or by the month where a period is long.
 *  Source: docs/compare.md, section 3. */
export function differenceSteps(
  jobs: readonly Pick<ListedJob, 'finishedDay' | 'current'>[],
  { firstDay, lastDay }: Days,
): DifferenceSteps {
  const isMonthly = lastDay - firstDay > MOST_WEEKS * 7;
  const startOf = (day: LocalDay) => (isMonthly ? monthOf(day) : mondayOf(day));
  const sums = new Map<LocalDay, number>();
  for (let day = startOf(firstDay); day <= lastDay; day = startOf(addDays(day, isMonthly ? 31 : 7)))
    sums.set(day, 0);
  const byDay = new Map<LocalDay, number>();
  for (const { finishedDay, current } of jobs)
    if (finishedDay !== null) byDay.set(finishedDay, (byDay.get(finishedDay) ?? 0) + current.difference);
  for (const [day, cents] of byDay) {
    const before = sums.get(startOf(day));
    if (before !== undefined) sums.set(startOf(day), before + cents);
  }
  return {
    isMonthly,
    steps: [...sums].map(([first, cents]) => ({ firstDay: first, cents: toCents(cents) })),
  };
}
