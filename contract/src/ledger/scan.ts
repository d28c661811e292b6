import { z } from 'zod';

/** An entry as it stands now, with who made it, where, and every correction of it with what it changed. */
export const scanSchema = z.strictObject({
  id: z.string(),
  seq: z.number(),
  type: z.string(),
  at: z.string().nullable(),
  recordedAt: z.string(),
  source: z.string(),
  author: z.string(),
  corrections: z.array(
    z.strictObject({
      type: z.string(),
      author: z.string(),
      recordedAt: z.string(),
      why: z.string().nullable(),
      changes: z.array(z.strictObject({ field: z.string(), before: z.string(), after: z.string() })),
    }),
  ),
});
export type ScanJson = z.output<typeof scanSchema>;
