import { z } from 'zod';
import { instant, day, seconds, targetId, technicianId, workOrderId } from '../wire/index.ts';
import { checkDays, period } from './periods.ts';

export const comparedPeopleQuery = z
  .strictObject({
    ...period,
    /** Only this one, with their tasks. */
    technician: technicianId.exactOptional(),
  })
  .superRefine(checkDays);

/** Estimated against used time of tasks that were finished in the period. */
const efficiency = z.object({
  taskCount: z.number(),
  estimatedSeconds: seconds,
  includedSeconds: seconds,
  measuredSeconds: seconds,
  setupEstimatedSeconds: seconds,
  setupSeconds: seconds,
});

const person = z.object({
  technician: technicianId,
  name: z.string(),
  department: z.string(),
  crew: z.string(),
  attendedSeconds: seconds,
  jobSeconds: seconds,
  indirectSeconds: seconds,
  /** Billed hours that were expected of them up to today. */
  expectedSeconds: seconds,
  earnedSeconds: seconds,
  /** Their own time on the tasks that they earned it with, and what of it was measured. */
  ownSeconds: seconds,
  measuredSeconds: seconds,
});
export type ComparedPerson = z.output<typeof person>;

const earnedTask = z.object({
  target: targetId,
  title: z.string(),
  order: workOrderId,
  orderNumber: z.string(),
  estimatedSeconds: seconds,
  earnedSeconds: seconds,
  ownSeconds: seconds,
  measuredSeconds: seconds,
});

/** What people did in a period, and what they earned of what was estimated. Holds no cost. */
export const comparedPeopleSchema = z.object({
  asOf: instant,
  firstDay: day,
  lastDay: day,
  shop: efficiency,
  people: z.array(person).readonly(),
  /** What the one who was asked for has earned, task by task. */
  tasks: z.array(earnedTask).readonly(),
});
export type ComparedPeopleJson = z.output<typeof comparedPeopleSchema>;
