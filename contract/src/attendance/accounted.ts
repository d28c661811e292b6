import { z } from 'zod';
import { instant, day, seconds, technicianId } from '../wire/index.ts';

/** What became of the time of some days, by person and day and by department. Seconds. */
const parts = {
  attendedSeconds: seconds,
  jobSeconds: seconds,
  indirectSeconds: seconds,
  breakSeconds: seconds,
  enteredSeconds: seconds,
  unaccountedSeconds: seconds,
  /** Of jobs and indirect time, what does not lie in attended time. */
  outsideSeconds: seconds,
  /** Of all labor of these days, what nobody has approved yet. */
  unapprovedSeconds: seconds,
  /** From 0 to 1; `null` where nobody has attended. */
  share: z.number().nullable(),
};

export const accountedSchema = z.object({
  asOf: instant,
  firstDay: day,
  lastDay: day,
  total: z.object(parts),
  departments: z.array(z.object({ department: z.string(), ...parts })),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      department: z.string(),
      ...parts,
      /** Indirect time by activity, the longest first. */
      activities: z.array(z.object({ title: z.string(), seconds: z.number() })),
      days: z.array(
        z.object({
          day,
          attendedSeconds: seconds,
          chargedSeconds: seconds,
          jobSeconds: seconds,
          /** Billed hours expected of them on that day; 0 where they were not planned. */
          expectedSeconds: seconds,
          unaccountedSeconds: seconds,
        }),
      ),
    }),
  ),
});
export type AccountedJson = z.output<typeof accountedSchema>;
