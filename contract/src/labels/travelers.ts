import { idText } from '../wire/index.ts';
import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';

export const travelersBodySchema = z.strictObject({
  orders: z.array(idText<'WorkOrderId'>()).min(1).max(100),
  /** Kinds of work that get a code of their own beside the task's. */
  workTypes: z.array(z.enum(WORK_TYPES)).default([]),
});
const cell = z.object({ title: z.string(), detail: z.string(), code: z.string() });
export const travelersSchema = z.object({
  travelers: z.array(
    z.object({
      number: z.string(),
      title: z.string(),
      facts: z.array(z.string()),
      notes: z.string(),
      code: z.string(),
      printed: z.string(),
      tasks: z.array(
        z.object({
          position: z.number(),
          title: z.string(),
          detail: z.string(),
          instructions: z.array(z.string()),
          codes: z.array(cell),
        }),
      ),
    }),
  ),
});
