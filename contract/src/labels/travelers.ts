import { dayText, idText, seconds } from '../wire/index.ts';
import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';

export const travelersBodySchema = z.strictObject({
  orders: z.array(idText<'WorkOrderId'>()).min(1).max(100),
  /** Kinds of work that get a code of their own beside the task's. */
  workTypes: z.array(z.enum(WORK_TYPES)).default([]),
});
/** What stands on a traveler; the page has the words around it. */
const traveler = z.object({
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  quantity: z.number(),
  due: dayText.nullable(),
  /** Type, maker and serial number of the unit; empty without one. */
  unit: z.string(),
  item: z.string(),
  notes: z.string(),
  code: z.string(),
  printedOn: dayText,
  version: z.number(),
  tasks: z.array(
    z.object({
      position: z.number(),
      title: z.string(),
      workCenter: z.string(),
      estimatedSeconds: seconds.nullable(),
      description: z.string(),
      instructions: z.array(z.object({ text: z.string(), hours: z.string() })),
      /** The task's own code, as `run`, and one for each kind of work that was asked for. */
      codes: z.array(z.object({ workType: z.enum(WORK_TYPES), code: z.string() })),
    }),
  ),
});
export const travelersSchema = z.object({ travelers: z.array(traveler) });
export type TravelerJson = z.output<typeof traveler>;
