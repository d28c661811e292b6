import { z } from 'zod';
import { rowSchema } from './kinds.ts';

export const MOST_ROWS_AT_ONCE = 500;
export const MOST_ROWS = 50_000;

/** One step of bringing a list in: rows arrive in parts, are checked as a whole, and are then stored all together.
 *  Nothing of them is kept before that. */
export const importStepSchema = z.discriminatedUnion('step', [
  z.strictObject({
    step: z.literal('rows'),
    /** Absent at the first part. */
    import: z.string().max(200).nullable(),
    rows: z.array(rowSchema).min(1).max(MOST_ROWS_AT_ONCE),
  }),
  z.strictObject({ step: z.literal('check'), import: z.string().max(200) }),
  /** `all`: only if no row is wrong; `good`: the rows that are right. */
  z.strictObject({ step: z.literal('store'), import: z.string().max(200), mode: z.enum(['all', 'good']) }),
  z.strictObject({ step: z.literal('drop'), import: z.string().max(200) }),
]);

const counts = z.object({
  /** Rows by what would become of them. */
  new: z.number(),
  changed: z.number(),
  same: z.number(),
  wrong: z.number(),
});
export const importAnswerSchema = z.object({
  import: z.string(),
  received: z.number(),
  counts: counts.nullable(),
  /** What is wrong, by row, from 1; the first thousand. */
  problems: z.array(z.object({ row: z.number(), field: z.string(), message: z.string() })),
  isStored: z.boolean(),
});
export type ImportAnswer = z.output<typeof importAnswerSchema>;

export const exportSchema = z.object({
  columns: z.array(z.string()),
  rows: z.array(z.array(z.string())),
});
