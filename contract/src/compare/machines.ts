import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { day, dayText, instant, resourceId, seconds, wholeNumber } from '../wire/index.ts';
import { checkDays, period } from './periods.ts';

export const comparedMachinesQuery = z.strictObject(period).superRefine(checkDays);

const byWorkType = z.partialRecord(z.enum(WORK_TYPES), seconds);
const WEEKDAYS = 7;
const DAY_SECONDS = 86_400;

const own = {
  /** Absent of a machine that is on no list. */
  resource: resourceId.nullable(),
  name: z.string(),
  byWorkType,
  /** What was available in the period; `null` where no hours are set. */
  availableSeconds: seconds.nullable(),
  /** Hours of each weekday as they are set now, Monday first; `null` where none are. */
  hours: z.array(seconds).readonly().nullable(),
};
const dayOf = z.object({
  day,
  usedSeconds: seconds,
  downSeconds: seconds,
  availableSeconds: seconds.nullable(),
});
const machine = z.object({
  ...own,
  workCenter: z.string(),
  usedSeconds: seconds,
  downSeconds: seconds,
  /** Of it what was used on days on which the shop is closed. */
  closedSeconds: seconds,
  /** Why it was down, in hours of the people who waited for it. */
  reasons: z.array(z.object({ reason: z.string(), seconds })).readonly(),
  days: z.array(dayOf).readonly(),
  /** What it did, in order of time; told of a single day alone. */
  spans: z.array(z.object({ from: instant, to: instant, workType: z.enum(WORK_TYPES) })).readonly(),
});
export type ComparedMachine = z.output<typeof machine>;

/** Hours of people at a work center's tasks. */
const center = z.object({ ...own, seconds });
export type ComparedCenter = z.output<typeof center>;

export const comparedMachinesSchema = z.object({
  asOf: instant,
  firstDay: day,
  lastDay: day,
  machines: z.array(machine).readonly(),
  centers: z.array(center).readonly(),
});
export type ComparedMachinesJson = z.output<typeof comparedMachinesSchema>;

/** Hours of a machine, or person-hours of a work center, on each weekday from a day on. */
export const saveCapacitySchema = z.strictObject({
  from: dayText,
  seconds: z
    .array(wholeNumber.max(DAY_SECONDS * 1000, 'more than anybody has'))
    .length(WEEKDAYS, 'must be seven, Monday first'),
});
