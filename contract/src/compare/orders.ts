import { z } from 'zod';
import { instant, day, technicianId, targetId, workOrderId } from '../wire/index.ts';
import { usedSchema } from '../ledger/index.ts';
import { ORDER_STATES, WORK_TYPES } from '@wergon/core/work';
import { chargeJson, unitJson } from '../shop/index.ts';
import { originSchema, stepJson } from '../work/index.ts';

/** Costs are decimal strings; `null` where they are not to be shown, which `costs` explains. */
export const comparisonSchema = z.object({
  estimatedSeconds: z.number(),
  actualSeconds: z.number(),
  outsideSeconds: z.number(),
  remainingSeconds: z.number(),
  overSeconds: z.number(),
  underSeconds: z.number(),
  /** Little of the estimate is left, by the shop's rules. */
  isLow: z.boolean(),
  estimatedCost: z.string(),
  actualCost: z.string(),
  outsideCost: z.string(),
  costDifference: z.string(),
  uncostedLines: z.number(),
  /** `shown`; `private` where the figure would give one person's wage away. */
  costs: z.enum(['actual', 'standard']),
});
export type ComparisonJson = z.output<typeof comparisonSchema>;

const standing = {
  comparison: comparisonSchema,
  used: usedSchema,
  hasEstimate: z.boolean(),
  isFinished: z.boolean(),
  peopleOn: z.array(z.string()),
  /** Who is on it although they have signed out, since when, and how much of it that is. */
  signedOut: z.array(z.object({ name: z.string(), at: instant, seconds: z.number() })),
};
/** Pieces that were reported; `null` where none were. */
const pieces = z.object({ good: z.number(), scrap: z.number() });

const orderRow = z.object({
  id: workOrderId,
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  quantity: z.number(),
  due: day.nullable(),
  state: z.enum(ORDER_STATES),
  division: z.string(),
  jobType: z.string(),
  unit: z.string().nullable(),
  unitWords: z.string(),
  taskCount: z.number(),
  finishedTaskCount: z.number(),
  ...standing,
  /** Good ones are so after that task. */
  pieces: pieces.extend({ after: z.string() }).nullable(),
});
export type OrderRow = z.output<typeof orderRow>;

/** Orders whose work is not behind them, and how many others there are. */
export const workSchema = z.object({
  asOf: instant,
  seq: z.number(),
  orders: z.array(orderRow),
  pastCount: z.number(),
});

/** Which finished and closed orders, a page at a time. */
export const pastWorkQuery = z.strictObject({
  state: z.enum(['finished', 'closed']).exactOptional(),
  unit: z.string().max(200).exactOptional(),
  search: z.string().max(100).default(''),
  skip: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export const pastWorkSchema = z.object({
  asOf: instant,
  seq: z.number(),
  orders: z.array(orderRow),
  total: z.number(),
});

const lineSchema = z.object({
  /** `null` for all those together of whom whoever asks is told nothing. */
  technician: technicianId.nullable(),
  name: z.string(),
  workType: z.enum(WORK_TYPES),
  day,
  seconds: z.number(),
  measuredSeconds: z.number(),
  sharedSeconds: z.number(),
  enteredSeconds: z.number(),
  cost: z.string().nullable(),
  costs: z.enum(['actual', 'standard']),
  /** What of it the hours themselves cost, what overtime adds, and what payroll paid beyond; `null` where neither adds
   *  anything, and for whoever may not see rates. */
  parts: z.object({ straight: z.string(), premium: z.string(), trueUp: z.string() }).nullable(),
  /** What somebody set its cost to, for the seconds that they saw, and what it would cost by its rate; shown to nobody
   *  who may not see rates. */
  set: z
    .object({
      cost: z.string(),
      seconds: z.number(),
      byRate: z.string().nullable(),
      reason: z.string(),
      by: z.string(),
      at: instant,
    })
    .nullable(),
});
export type LineRow = z.output<typeof lineSchema>;

const taskRow = z.object({
  id: targetId,
  position: z.number(),
  code: z.string(),
  ...stepJson,
  isOptional: z.boolean(),
  /** Whether an optional task was accepted; one that was not is no part of the estimate. */
  isAccepted: z.boolean(),
  costCode: z.string(),
  charge: chargeJson.nullable(),
  assigned: z.array(z.object({ kind: z.enum(['technician', 'crew']), id: z.string(), name: z.string() })),
  origin: originSchema.nullable(),
  /** What was estimated at first. */
  originalSeconds: z.number(),
  originalCost: z.string(),
  ...standing,
  pieces: pieces.nullable(),
  /** What was noted in the work on it, oldest first. */
  notes: z.array(
    z.object({
      id: z.string(),
      day,
      technician: technicianId.nullable(),
      /** `null` for somebody of whom whoever asks is told nothing. */
      who: z.string().nullable(),
      text: z.string(),
      isForCustomer: z.boolean(),
    }),
  ),
  lines: z.array(lineSchema),
});
export type TaskRow = z.output<typeof taskRow>;

export const orderSchema = z.object({
  asOf: instant,
  seq: z.number(),
  order: orderRow.extend({
    code: z.string(),
    includes: z.array(z.enum(WORK_TYPES)),
    version: z.number(),
    item: z.string(),
    price: z.string().nullable(),
    notes: z.string(),
    parts: z.array(z.object({ name: z.string(), quantity: z.number() })),
    charge: chargeJson.nullable(),
    /** Price less estimated cost; `null` without a price. */
    margin: z.string().nullable(),
    peopleOnIds: z.array(technicianId),
    attachments: z.array(
      z.object({
        id: z.string(),
        name: z.string(),
        type: z.string(),
        size: z.number(),
        addedAt: instant,
        addedBy: z.string(),
      }),
    ),
    changes: z.array(
      z.object({
        at: instant,
        by: z.string(),
        changes: z.array(z.object({ field: z.string(), before: z.string(), after: z.string() })),
      }),
    ),
  }),
  tasks: z.array(taskRow),
});
export type OrderJson = z.output<typeof orderSchema>;

/** A unit over the years: what was done to it, how long that took, and what it cost. */
export const unitHistorySchema = z.object({
  unit: unitJson,
  readings: z.array(z.object({ id: z.string(), day, hours: z.number() })),
  /** By the year in which an order was done, or of the running year: the last one first. */
  years: z.array(
    z.object({
      year: z.number(),
      orders: z.number(),
      usedSeconds: z.number(),
      cost: z.string(),
      costs: z.enum(['actual', 'standard']),
    }),
  ),
  orders: z.array(orderRow),
  /** How many there are; of many only the last ones are told. */
  orderCount: z.number(),
});
export type UnitHistoryJson = z.output<typeof unitHistorySchema>;
