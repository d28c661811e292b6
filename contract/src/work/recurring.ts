import type { DeepReadonly } from '../wire/index.ts';
import { CADENCES, ORDER_STATES } from '@wergon/core/work';
import { z } from 'zod';
import { day, dayText, idText, onceId, standardId, workOrderId } from '../wire/index.ts';

/** Work on a unit that comes back, from a standard job. */
export const recurrenceFieldsSchema = z.strictObject({
  unit: z.string().min(1).max(200),
  job: idText<'StandardId'>(),
  kind: z.enum(CADENCES),
  /** So many months, or running hours. */
  every: z.int().min(1).max(100_000),
  /** When it was done last, or when counting begins. */
  lastDay: dayText,
  isOff: z.boolean().default(false),
});
export const newRecurrenceSchema = recurrenceFieldsSchema.extend({ once: onceId });
export const makeDueOrderSchema = z.strictObject({ once: onceId });

/** The hour meter of a unit. */
export const newReadingSchema = z.strictObject({
  day: dayText,
  hours: z.int().min(0).max(10_000_000),
  once: onceId,
});

const recurrence = z.object({
  id: z.string(),
  unit: z.string(),
  /** Type, maker and serial number of the unit. */
  unitWords: z.string(),
  owner: z.string(),
  job: standardId,
  title: z.string(),
  kind: z.enum(CADENCES),
  every: z.number(),
  lastDay: day,
  isOff: z.boolean(),
  due: z.object({ day: day.nullable(), atHours: z.number().nullable(), isReckoned: z.boolean() }),
  /** The order that was made of it and is not behind us yet. */
  order: z.object({ id: workOrderId, number: z.string(), state: z.enum(ORDER_STATES) }).nullable(),
});
export type RecurrenceJson = DeepReadonly<z.output<typeof recurrence>>;

export const recurringQuery = z.strictObject({
  search: z.string().max(100).default(''),
  unit: z.string().max(200).exactOptional(),
  skip: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
/** What comes due, the soonest first, a page at a time: of how many that were found, of how many there are, and how many
 *  of all come due soon. */
export const recurringSchema = z.object({
  recurring: z.array(recurrence),
  found: z.number(),
  total: z.number(),
  soon: z.number(),
});
