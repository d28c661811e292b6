import { z } from 'zod';
import { ORDER_STATES, WORK_TYPES } from '@wergon/core/work';
import { usedSchema } from '../ledger/index.ts';

const workType = z.enum(WORK_TYPES);
const running = z.array(z.strictObject({ target: z.string(), workType }));
const since = { since: z.string(), entry: z.string() };

const doing = z.discriminatedUnion('status', [
  z.strictObject({ status: z.literal('nothing') }),
  z.strictObject({ status: z.literal('work'), ...since, running }),
  z.strictObject({ status: z.literal('break'), ...since, suspended: running }),
]);

const dated = <T extends z.ZodType>(value: T) => z.array(z.strictObject({ from: z.string(), value }));

const policy = z.strictObject({
  split: z.enum(['estimate', 'equal']),
  maxStintHours: z.number(),
  maxShiftHours: z.number(),
  gapMinutes: z.number(),
  maxBreakMinutes: z.number(),
});

/** Who is on what, in JSON: instants are RFC 3339, days are dates, lengths are seconds. Holds no rate and no cost. */
export const boardSchema = z.strictObject({
  asOf: z.string(),
  seq: z.number(),
  zone: z.string(),
  policy: dated(policy),
  technicians: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      department: z.string(),
      hasLeft: z.boolean(),
      state: z.strictObject({ shift: z.strictObject(since).nullable(), doing }),
      charged: z.strictObject({ day: z.string(), seconds: z.number() }),
    }),
  ),
  orders: z.array(
    z.strictObject({
      id: z.string(),
      number: z.string(),
      title: z.string(),
      customer: z.string(),
      state: z.enum(ORDER_STATES),
      includes: z.array(workType),
    }),
  ),
  tasks: z.array(
    z.strictObject({
      id: z.string(),
      title: z.string(),
      order: z.string(),
      hasEstimate: z.boolean(),
      estimate: dated(z.number()),
      used: usedSchema,
      isFinished: z.boolean(),
    }),
  ),
  activities: z.array(
    z.strictObject({ id: z.string(), title: z.string(), counts: dated(z.boolean()), isOff: z.boolean() }),
  ),
});
export type BoardJson = z.output<typeof boardSchema>;

const span = { from: z.string(), to: z.string() };

/** The board with one local day of everybody's stretches, what was planned of it, and what orders are about. */
export const floorSchema = boardSchema.extend({
  day: z.string(),
  people: z.array(
    z.strictObject({
      technician: z.string(),
      crew: z.string(),
      planned: z.strictObject({ from: z.string(), to: z.string() }).nullable(),
      /** Whether they are away that day; why is for who may see absences. */
      isAway: z.boolean(),
      /** Billed hours expected of them on a planned day. */
      billedSeconds: z.number().nullable(),
    }),
  ),
  orderDetails: z.array(
    z.strictObject({ order: z.string(), division: z.string(), jobType: z.string(), unit: z.string() }),
  ),
  lanes: z.array(
    z.strictObject({
      technician: z.string(),
      /** `capped` where a rule ended it. */
      stints: z.array(z.strictObject({ ...span, running, capped: z.literal(true).exactOptional() })),
      shifts: z.array(z.strictObject(span)),
      breaks: z.array(z.strictObject(span)),
      enteredSeconds: z.number(),
    }),
  ),
});
export type FloorJson = z.output<typeof floorSchema>;

/** What was scanned last, newest first, with who and where. */
export const latestSchema = z.strictObject({
  latest: z.array(
    z.strictObject({
      seq: z.number(),
      at: z.string(),
      type: z.string(),
      name: z.string().nullable(),
      about: z.string(),
      station: z.string(),
    }),
  ),
});
