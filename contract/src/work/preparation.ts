import { WORK_TYPES } from '@wergon/core/work';
import { z } from 'zod';

/** What a form for an order needs to know. */
export const preparationSchema = z.object({
  nextNumber: z.string(),
  /** What the estimate of a new order includes, until its own choice is made. */
  estimateIncludes: z.array(z.enum(WORK_TYPES)),
  grades: z.array(z.object({ id: z.string(), name: z.string(), standardRate: z.string() })),
  workCenters: z.array(z.string()),
  customers: z.array(z.string()),
  divisions: z.array(z.string()),
  jobTypes: z.array(z.string()),
  costCodes: z.array(z.string()),
  crews: z.array(z.string()),
  units: z.array(z.object({ id: z.string(), type: z.string(), words: z.string(), owner: z.string() })),
  technicians: z.array(z.object({ id: z.string(), name: z.string(), crew: z.string() })),
});
export type Preparation = z.output<typeof preparationSchema>;
