import { z } from 'zod';
import { CAUSES } from '@wergon/core/compare';
import { cents, day, dayText, instant, workOrderId } from '../wire/index.ts';
import { causeShare, caused, costs, difference } from './difference.ts';

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
export const jobsQuery = z
  .strictObject({ ...period, show: z.enum(JOB_CHOICES).default('finished') })
  .superRefine(checkDays);

const job = z.object({
  id: workOrderId,
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  division: z.string(),
  jobType: z.string(),
  /** The standard job that it was made of; '' of one that was made by hand. */
  standard: z.string(),
  /** Who wrote its estimate down; '' where it came otherwise. */
  estimator: z.string(),
  finishedDay: day.nullable(),
  hasEstimate: z.boolean(),
  taskCount: z.number(),
  price: cents.nullable(),
  ...caused,
  /** The causes that count most, and the one task that each lies at. */
  main: z.array(causeShare.extend({ task: z.string().nullable() })).readonly(),
});
export type ComparedJob = z.output<typeof job>;

/** Jobs of a period, most over first. */
export const comparedJobsSchema = z.object({
  ...told,
  jobs: z.array(job).readonly(),
  total: z.object(caused),
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
    group: z.string().max(200).exactOptional(),
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
  /** The jobs of the group that was asked for, those first that it counts most in. */
  jobs: z
    .array(
      z.object({ id: workOrderId, number: z.string(), title: z.string(), customer: z.string(), difference }),
    )
    .readonly(),
});
export type ComparedCausesJson = z.output<typeof comparedCausesSchema>;
export type CauseGroup = ComparedCausesJson['groups'][number];
