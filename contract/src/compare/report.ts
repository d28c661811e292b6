import { z } from 'zod';
import { cents, day, instant, seconds, targetId, technicianId, workOrderId } from '../wire/index.ts';
import { costs } from './difference.ts';

const pieces = z.object({ good: z.number(), scrap: z.number() }).nullable();
const sums = { heads: z.number(), seconds, cost: cents };

/** What was done on an order, day by day. */
export const reportSchema = z.object({
  asOf: instant,
  id: workOrderId,
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  costs,
  total: z.object(sums),
  days: z
    .array(
      z.object({
        day,
        ...sums,
        tasks: z
          .array(
            z.object({
              id: targetId,
              position: z.number(),
              title: z.string(),
              ...sums,
              pieces,
              /** Who worked on it; `technician` is absent of people of whom whoever asks is not told. */
              people: z
                .array(z.object({ technician: technicianId.nullable(), name: z.string(), seconds }))
                .readonly(),
            }),
          )
          .readonly(),
        notes: z
          .array(z.object({ text: z.string(), who: z.string(), isForCustomer: z.boolean() }))
          .readonly(),
      }),
    )
    .readonly(),
});
export type ReportJson = z.output<typeof reportSchema>;
