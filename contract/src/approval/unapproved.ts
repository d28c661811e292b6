import { z } from 'zod';

/** Labor that nobody has approved yet, by order, of the days from `since` on that are not closed. */
export const unapprovedWorkSchema = z.strictObject({
  since: z.string(),
  orders: z.array(z.strictObject({ order: z.string(), seconds: z.number() })),
});

/** Of all the labor of one order, what nobody has approved yet. */
export const unapprovedOrderSchema = z.strictObject({ seconds: z.number() });
