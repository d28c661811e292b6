import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { dayText, idText, instant } from '../wire/index.ts';
import { scanSchema } from './scan.ts';

/** Which labor line to open. */
export const lineQuerySchema = z.strictObject({
  technician: idText<'TechnicianId'>(),
  target: idText<'TargetId'>(),
  workType: z.enum(WORK_TYPES),
  day: dayText,
});

/** What a labor line is made of: its stints with the seconds they give it, and the scans at their ends. */
export const lineDetailSchema = z.object({
  stints: z.array(
    z.object({
      from: instant,
      to: instant,
      seconds: z.number(),
      sharedWith: z.array(z.string()),
      isOpen: z.boolean(),
      isCapped: z.boolean(),
      opened: scanSchema,
      closed: scanSchema.nullable(),
    }),
  ),
  hours: z.array(z.object({ seconds: z.number(), entry: scanSchema })),
});
export type LineDetail = DeepReadonly<z.output<typeof lineDetailSchema>>;
