import { z } from 'zod';

export const newActivitySchema = z.strictObject({
  title: z.string().trim().min(1).max(80),
  counts: z.boolean(),
});

export const shopSchema = z.strictObject({
  name: z.string(),
  zone: z.string(),
  currency: z.string(),
  activities: z.array(
    z.strictObject({ id: z.string(), title: z.string(), counts: z.boolean(), code: z.string() }),
  ),
  actions: z.array(z.strictObject({ action: z.string(), code: z.string() })),
});

/** The live figures beside the places of the rail. */
export const railSchema = z.strictObject({
  peopleIn: z.number(),
  openOrders: z.number(),
  looseEnds: z.number(),
});
