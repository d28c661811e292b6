import { z } from 'zod';
import { day, instant, seconds } from '../wire/index.ts';

/** How the shop holds its estimates, for a big screen: hours alone, because whoever comes by reads it. */
export const comparedWeekSchema = z.object({
  asOf: instant,
  /** The seven days of this week: jobs that were finished on each, and how many seconds they took beyond their estimates. */
  days: z.array(z.object({ day, jobCount: z.number(), differenceSeconds: seconds })).readonly(),
  /** This week and the ones before it, the oldest first: tasks that were finished, estimated and used. */
  weeks: z
    .array(
      z.object({
        firstDay: day,
        taskCount: z.number(),
        estimatedSeconds: seconds,
        includedSeconds: seconds,
      }),
    )
    .readonly(),
});
export type ComparedWeekJson = z.output<typeof comparedWeekSchema>;
