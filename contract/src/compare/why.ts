import { z } from 'zod';
import { cents, instant, seconds, targetId, workOrderId } from '../wire/index.ts';
import { caused, costs } from './difference.ts';

/** Why an order costs other than estimated, task by task. */
export const whySchema = z.object({
  asOf: instant,
  seq: z.number(),
  id: workOrderId,
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  costs,
  /** What it is sold for, if that is known. */
  price: cents.nullable(),
  ...caused,
  tasks: z.array(
    z.object({
      id: targetId,
      position: z.number(),
      title: z.string(),
      hasEstimate: z.boolean(),
      wholeEstimateSeconds: seconds,
      wholeEstimatedCost: cents,
      ...caused,
    }),
  ),
});
export type WhyJson = z.output<typeof whySchema>;
