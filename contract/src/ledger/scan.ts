import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { instant, entryId } from '../wire/index.ts';

/** An entry as it stands now, with who made it, where, and every correction of it with what it changed. */
export const scanSchema = z.object({
  id: entryId,
  seq: z.number(),
  type: z.string(),
  at: instant.nullable(),
  recordedAt: instant,
  source: z.string(),
  author: z.string(),
  corrections: z.array(
    z.object({
      type: z.string(),
      author: z.string(),
      recordedAt: instant,
      why: z.string().nullable(),
      changes: z.array(z.object({ field: z.string(), before: z.string(), after: z.string() })),
    }),
  ),
});
export type ScanJson = DeepReadonly<z.output<typeof scanSchema>>;
