import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { dayText } from '../wire/index.ts';
import { scanSchema } from './scan.ts';

/** Which labor line to open. */
export const lineQuerySchema = z.strictObject({
  technician: z.string().min(1),
  target: z.string().min(1),
  workType: z.enum(WORK_TYPES),
  day: dayText,
});

/** What a labor line is made of: its stints with the seconds they give it, and the scans at their ends. */
export const lineDetailSchema = z.strictObject({
  stints: z.array(
    z.strictObject({
      from: z.string(),
      to: z.string(),
      seconds: z.number(),
      sharedWith: z.array(z.string()),
      isOpen: z.boolean(),
      isCapped: z.boolean(),
      opened: scanSchema,
      closed: scanSchema.nullable(),
    }),
  ),
  hours: z.array(z.strictObject({ seconds: z.number(), entry: scanSchema })),
});
export type LineDetail = z.output<typeof lineDetailSchema>;
