import { z } from 'zod';
import { CAUSES } from '@wergon/core/compare';
import { instant, targetId, workOrderId } from '../wire/index.ts';

/** What one cause adds to an estimate, or, below zero, saves of it. */
const cause = z.object({ cause: z.enum(CAUSES), seconds: z.number(), cost: z.string() });

/** An actual against an estimate, with the causes that add up to both differences. `estimated` is what the actual is held
 *  against: of what is not finished no more than was used of it. */
const against = z.object({
  estimatedSeconds: z.number(),
  estimatedCost: z.string(),
  differenceSeconds: z.number(),
  difference: z.string(),
  causes: z.array(cause),
});
export type AgainstJson = z.output<typeof against>;

const sums = {
  actualSeconds: z.number(),
  actualCost: z.string(),
  outsideSeconds: z.number(),
  outsideCost: z.string(),
  /** Of the seconds that the estimate includes, those that were measured alone. */
  measuredSeconds: z.number(),
  isFinished: z.boolean(),
  current: against,
  first: against,
};

/** Why an order costs other than estimated, task by task. */
export const whySchema = z.object({
  asOf: instant,
  seq: z.number(),
  id: workOrderId,
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  costs: z.enum(['actual', 'standard']),
  ...sums,
  tasks: z.array(
    z.object({
      id: targetId,
      position: z.number(),
      title: z.string(),
      hasEstimate: z.boolean(),
      wholeEstimateSeconds: z.number(),
      ...sums,
    }),
  ),
});
export type WhyJson = z.output<typeof whySchema>;
