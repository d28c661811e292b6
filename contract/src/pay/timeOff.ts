import { z } from 'zod';
import { day, dayText, technicianId } from '../wire/index.ts';

export const timeOffQuery = z.strictObject({ from: dayText });

/** Who is in and who is away, some weeks of days beside each other. */
export const timeOffSchema = z.object({
  days: z.array(day),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      department: z.string(),
      /** One for each of the days. */
      days: z.array(
        z.object({
          kind: z.enum(['in', 'free', 'away', 'closed']),
          /** The kind of an absence; empty otherwise. */
          why: z.string(),
          isPaid: z.boolean().nullable(),
        }),
      ),
    }),
  ),
});
export type TimeOffJson = z.output<typeof timeOffSchema>;
