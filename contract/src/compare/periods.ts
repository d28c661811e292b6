import { z } from 'zod';
import { CAUSES, JOB_FIELDS, JOB_SORTS } from '@wergon/core/compare';
import { cents, day, dayText, instant, workOrderId } from '../wire/index.ts';
import { causeShare, costs, difference } from './difference.ts';

/** Days that a comparison can reach over: ten years and some. */
const MOST_DAYS = 3700;
export const period = { from: dayText, to: dayText };
/** Refuses days that are in the wrong order or too many. */
export function checkDays(
  days: { readonly from: number; readonly to: number },
  context: z.RefinementCtx,
): void {
  const refuse = (message: string) => context.addIssue({ code: 'custom', path: ['to'], message });
  if (days.to < days.from) refuse('must not be before the first day');
  else if (days.to - days.from >= MOST_DAYS) refuse('must lie within ten years of the first day');
}

/** What every answer about a period says of itself. */
export const told = { asOf: instant, firstDay: day, lastDay: day, costs };

/** Which jobs are compared: those that were finished in the period, or those that go on. */
export const JOB_CHOICES = ['finished', 'floor'] as const;
/** Jobs that are listed at first, and at most. */
export const JOBS_AT_FIRST = 100;
export const MOST_JOBS = 2_000;
const words = z.string().max(200);
export const jobsQuery = z
  .strictObject({
    ...period,
    show: z.enum(JOB_CHOICES).default('finished'),
    customer: words.exactOptional(),
    division: words.exactOptional(),
    jobType: words.exactOptional(),
    standard: words.exactOptional(),
    estimator: words.exactOptional(),
    month: words.exactOptional(),
    search: words.default(''),
    sort: z.enum(JOB_SORTS).default('over'),
    /** What they are grouped by; then only the jobs of the group that `key` names are listed. */
    by: z.enum(JOB_FIELDS).exactOptional(),
    key: words.exactOptional(),
    most: z.coerce.number().int().min(1).max(MOST_JOBS).default(JOBS_AT_FIRST),
  })
  .superRefine(checkDays);

const job = z.object({
  id: workOrderId,
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  finishedDay: day.nullable(),
  hasEstimate: z.boolean(),
  taskCount: z.number(),
  current: difference,
  /** The causes that count most, and the one task that each lies at. */
  main: z.array(causeShare.extend({ task: z.string().nullable() })).readonly(),
});
export type ComparedJob = z.output<typeof job>;

const length = z.number().min(0);
const scale = z.object({ less: length, more: length });

/** Jobs of a period. All figures but those of `all` are of the jobs that were looked for. */
export const comparedJobsSchema = z.object({
  ...told,
  all: z.object({
    jobCount: z.number(),
    values: z.record(z.enum(JOB_FIELDS), z.array(z.string()).readonly()),
  }),
  jobCount: z.number(),
  taskCount: z.number(),
  total: difference,
  /** What they differ by, in the weeks or months in which they were finished. */
  ruler: z.object({
    isMonthly: z.boolean(),
    steps: z.array(z.object({ firstDay: day, cents })).readonly(),
  }),
  /** How far the bars of the groups reach, or, where they are not grouped, those of the jobs. */
  scales: z.object({ money: scale, hours: scale }),
  groups: z.array(z.object({ key: z.string(), jobCount: z.number(), difference })).readonly(),
  jobs: z.array(job).readonly(),
});
export type ComparedJobsJson = z.output<typeof comparedJobsSchema>;

/** What the difference of a period's jobs is cut by. */
export const CAUSE_CUTS = [
  'workCenter',
  'task',
  'standard',
  'grade',
  'customer',
  'division',
  'jobType',
  'month',
] as const;
export type CauseCut = (typeof CAUSE_CUTS)[number];
export const causesQuery = z
  .strictObject({
    ...period,
    by: z.enum(CAUSE_CUTS).default('workCenter'),
    /** One of the groups, of which the jobs are told too. */
    group: words.exactOptional(),
    cause: z.enum(CAUSES).exactOptional(),
  })
  .superRefine(checkDays);

const group = z.object({ key: z.string(), taskCount: z.number(), jobCount: z.number(), difference });
export const comparedCausesSchema = z.object({
  ...told,
  taskCount: z.number(),
  jobCount: z.number(),
  total: difference,
  groups: z.array(group).readonly(),
  /** By month in which the jobs were finished. */
  months: z.array(z.object({ month: day, difference })).readonly(),
  /** The jobs of the group that was asked for, those first that it counts most in; of many the first ones. */
  jobs: z
    .array(
      z.object({ id: workOrderId, number: z.string(), title: z.string(), customer: z.string(), difference }),
    )
    .readonly(),
});
export type ComparedCausesJson = z.output<typeof comparedCausesSchema>;
export type CauseGroup = ComparedCausesJson['groups'][number];
