import { z } from 'zod';
import { CAUSES } from '@wergon/core/compare';
import { cents, seconds } from '../wire/index.ts';

/** What one cause adds to an estimate, or, below zero, saves of it. */
export const causeShare = z.object({ cause: z.enum(CAUSES), seconds, cents });

/** An actual against what it is held against, with the causes that add up to both differences. Of what is not finished no
 *  more is expected than was used of its estimate. */
export const difference = z.object({
  isFinished: z.boolean(),
  expectedSeconds: seconds,
  expectedCost: cents,
  difference: cents,
  differenceSeconds: seconds,
  causes: z.array(causeShare).readonly(),
  includedSeconds: seconds,
  measuredSeconds: seconds,
});

/** What labor costs are told at: what people really cost, or the standard rates of their grades. */
export const costs = z.enum(['actual', 'standard']);

/** What tasks come to together, against their current and against their first estimate. */
export const caused = {
  actualSeconds: seconds,
  actualCost: cents,
  outsideSeconds: seconds,
  outsideCost: cents,
  isFinished: z.boolean(),
  current: difference,
  first: difference,
};
