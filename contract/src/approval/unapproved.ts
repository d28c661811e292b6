import { z } from 'zod';
import { day, workOrderId } from '../wire/index.ts';

/** Labor that nobody has approved yet, by order, of the days from `since` on that are not closed. */
export const unapprovedWorkSchema = z.object({
  since: day,
  orders: z.array(z.object({ order: workOrderId, seconds: z.number() })),
});

/** Of all the labor of one order, what nobody has approved yet. */
export const unapprovedOrderSchema = z.object({ seconds: z.number() });
