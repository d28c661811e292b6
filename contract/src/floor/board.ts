import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { PAY_CLASSES } from '@wergon/core/pay';
import { day, entryId, instant, seconds, targetId, technicianId, workOrderId } from '../wire/index.ts';
import { ORDER_STATES, WORK_TYPES } from '@wergon/core/work';
import { policyJson, usedSchema } from '../ledger/index.ts';

const workType = z.enum(WORK_TYPES);
const running = z.array(
  z.object({
    target: targetId,
    workType,
    machine: z.string().exactOptional(),
    chargeRate: z.string().exactOptional(),
    payClass: z.string().exactOptional(),
  }),
);
const since = { since: instant, entry: entryId };
const why = { reason: z.string().exactOptional() };

const doing = z.discriminatedUnion('status', [
  z.object({ status: z.literal('nothing') }),
  z.object({ status: z.literal('work'), ...since, ...why, running }),
  z.object({ status: z.literal('break'), ...since, ...why, suspended: running }),
]);

const dated = <T extends z.ZodType>(value: T) => z.array(z.object({ from: instant, value }));

/** Who is on what, in JSON: instants are RFC 3339, days are dates, lengths are seconds. Holds no rate and no cost. */
export const boardSchema = z.object({
  asOf: instant,
  seq: z.number(),
  zone: z.string(),
  policy: dated(policyJson),
  technicians: z.array(
    z.object({
      id: technicianId,
      name: z.string(),
      department: z.string(),
      hasLeft: z.boolean(),
      state: z.object({ shift: z.object(since).nullable(), doing }),
      charged: z.object({ day, seconds }),
    }),
  ),
  orders: z.array(
    z.object({
      id: workOrderId,
      number: z.string(),
      title: z.string(),
      customer: z.string(),
      state: z.enum(ORDER_STATES),
      includes: z.array(workType),
    }),
  ),
  tasks: z.array(
    z.object({
      id: targetId,
      title: z.string(),
      order: workOrderId,
      hasEstimate: z.boolean(),
      estimate: dated(seconds),
      used: usedSchema,
      isFinished: z.boolean(),
    }),
  ),
  activities: z.array(
    z.object({ id: targetId, title: z.string(), counts: dated(z.boolean()), isOff: z.boolean() }),
  ),
});
export type BoardJson = DeepReadonly<z.output<typeof boardSchema>>;

/** What has changed of the board since a place in the journal: all there is to say of these people, tasks and orders. */
export const boardChangesSchema = boardSchema.pick({
  asOf: true,
  seq: true,
  technicians: true,
  orders: true,
  tasks: true,
});
export type BoardChanges = DeepReadonly<z.output<typeof boardChangesSchema>>;

const span = { from: instant, to: instant };

/** The board with one local day of everybody's stretches, what was planned of it, and what orders are about. */
export const floorSchema = boardSchema.extend({
  day,
  people: z.array(
    z.object({
      technician: technicianId,
      crew: z.string(),
      planned: z.object({ from: instant, to: instant }).nullable(),
      /** Whether they are away that day; why is for who may see absences. */
      isAway: z.boolean(),
      /** Billed hours expected of them on a planned day. */
      billedSeconds: z.number().nullable(),
    }),
  ),
  orderDetails: z.array(
    z.object({
      order: workOrderId,
      division: z.string(),
      jobType: z.string(),
      unit: z.string(),
      quantity: z.number(),
    }),
  ),
  /** Pieces that were reported, of the tasks of which some were. */
  taskPieces: z.array(z.object({ task: targetId, good: z.number(), scrap: z.number() })),
  lanes: z.array(
    z.object({
      technician: technicianId,
      /** `capped` where a rule ended it. */
      stints: z.array(z.object({ ...span, running, capped: z.literal(true).exactOptional() })),
      shifts: z.array(z.object(span)),
      breaks: z.array(z.object(span)),
      enteredSeconds: seconds,
      /** The machine that what runs now is on, and the reason that was given for it. */
      machine: z.string().nullable(),
      reason: z.string().nullable(),
      /** How what runs is paid from when on, where that is not straight all the time. */
      stages: z.array(z.object({ class: z.enum(PAY_CLASSES), at: instant })),
    }),
  ),
});
/** What has changed of a day of the floor; `null` where that is not known any more, and the whole must be asked for. */
export const floorChangesSchema = boardChangesSchema
  .extend({
    orderDetails: floorSchema.shape.orderDetails,
    taskPieces: floorSchema.shape.taskPieces,
    lanes: floorSchema.shape.lanes,
  })
  .nullable();
export type FloorChanges = NonNullable<z.output<typeof floorChangesSchema>>;
export type FloorJson = DeepReadonly<z.output<typeof floorSchema>>;

/** What was scanned last, newest first, with who and where. */
export const latestSchema = z.object({
  latest: z.array(
    z.object({
      seq: z.number(),
      at: instant,
      type: z.string(),
      name: z.string().nullable(),
      about: z.string(),
      station: z.string(),
    }),
  ),
});
