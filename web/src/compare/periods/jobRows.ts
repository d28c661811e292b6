import { formatDay, monthOf, parseDay } from '@wergon/core/time';
import { groupDifferences } from '@wergon/core/compare';
import type { DifferenceGroup } from '@wergon/core/compare';
import type { ComparedJob } from '@wergon/contract/compare';
import { sayMonth } from '../../kit/index.ts';
import { t } from '../../words/index.ts';

/** What jobs are narrowed and grouped by. */
export const JOB_FIELDS = ['customer', 'division', 'jobType', 'standard', 'estimator', 'month'] as const;
export type JobField = (typeof JOB_FIELDS)[number];
export type Narrowed = Readonly<Record<JobField, string>>;
export const NOT_NARROWED: Narrowed = {
  customer: '',
  division: '',
  jobType: '',
  standard: '',
  estimator: '',
  month: '',
};

/** What a job has in a field; months as their first day, so that they can be put in order. */
export const fieldOf = (job: ComparedJob, field: JobField): string =>
  field === 'month' ? (job.finishedDay === null ? '' : formatDay(monthOf(job.finishedDay))) : job[field];

/** The same in words. */
export const sayField = (field: JobField, value: string): string =>
  value === '' ? t(`noJobField.${field}`) : field === 'month' ? sayMonthText(value) : value;

/** A month by its first day as text. */
export function sayMonthText(text: string): string {
  const first = parseDay(text);
  return first.ok ? sayMonth(first.value) : text;
}

const SORTS = {
  over: (a: ComparedJob, b: ComparedJob) => b.current.difference - a.current.difference,
  hours: (a: ComparedJob, b: ComparedJob) => b.current.differenceSeconds - a.current.differenceSeconds,
  under: (a: ComparedJob, b: ComparedJob) => a.current.difference - b.current.difference,
  latest: (a: ComparedJob, b: ComparedJob) => (b.finishedDay ?? 0) - (a.finishedDay ?? 0),
  number: (a: ComparedJob, b: ComparedJob) => (a.number < b.number ? -1 : 1),
} as const;
export type JobSort = keyof typeof SORTS;
export const JOB_SORTS = Object.keys(SORTS) as readonly JobSort[];

/** Jobs that match some words and are of what was narrowed to, in an order. */
export const findJobs = (
  jobs: readonly ComparedJob[],
  narrowed: Narrowed,
  search: string,
  sort: JobSort,
): readonly ComparedJob[] => {
  const words = search.trim().toLowerCase();
  return jobs
    .filter(
      (job) =>
        JOB_FIELDS.every((field) => narrowed[field] === '' || fieldOf(job, field) === narrowed[field]) &&
        `${job.number} ${job.title} ${job.customer}`.toLowerCase().includes(words),
    )
    .sort(SORTS[sort]);
};

/** The values that jobs have in a field, in order. */
export const valuesOf = (jobs: readonly ComparedJob[], field: JobField): readonly string[] =>
  [...new Set(jobs.map((job) => fieldOf(job, field)))].filter(Boolean).sort();

/** Jobs by a field, with what each group differs by. */
export const groupJobs = (
  jobs: readonly ComparedJob[],
  field: JobField,
): readonly DifferenceGroup<ComparedJob>[] =>
  groupDifferences(
    jobs,
    (job) => fieldOf(job, field),
    ({ current }) => current,
  );
