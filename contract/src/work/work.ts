import { z } from 'zod';
import { ORDER_STATES, WORK_TYPES } from '@wergon/core/work';
import { usedSchema } from '../floor/index.ts';
import { dayText, hoursText, wholeNumber } from '../wire/index.ts';

const shortText = z.string().trim().min(1).max(120);
/** No estimate is longer than 10,000 hours. */
const estimateText = hoursText.refine(
  ({ numerator, denominator }) => numerator <= 10_000n * denominator,
  'must not be above 10000 hours',
);

export const newOrderSchema = z.strictObject({
  number: shortText,
  title: shortText,
  customer: shortText,
  quantity: wholeNumber.max(1_000_000),
  due: dayText.nullable(),
  estimateIncludes: z.array(z.enum(WORK_TYPES)),
  tasks: z
    .array(
      z.strictObject({
        title: shortText,
        workCenter: z.string().trim().max(120),
        grade: z.string(),
        /** Absent hours everywhere: the task has no estimate. */
        setupHours: estimateText.exactOptional(),
        runHours: estimateText.exactOptional(),
        runHoursPerPiece: estimateText.exactOptional(),
      }),
    )
    .min(1)
    .max(200),
});
export type NewOrder = z.output<typeof newOrderSchema>;

export const changeOrderStateSchema = z.strictObject({ state: z.enum(ORDER_STATES) });

/** Costs are decimal strings; `null` where they are not to be shown, which `costs` explains. */
const comparison = z.strictObject({
  estimatedSeconds: z.number(),
  actualSeconds: z.number(),
  outsideSeconds: z.number(),
  remainingSeconds: z.number(),
  overSeconds: z.number(),
  underSeconds: z.number(),
  estimatedCost: z.string(),
  actualCost: z.string().nullable(),
  outsideCost: z.string().nullable(),
  costDifference: z.string().nullable(),
  uncostedLines: z.number(),
  /** `shown`; `private` where the figure would give one person's wage away. */
  costs: z.enum(['shown', 'private']),
});
export type ComparisonJson = z.output<typeof comparison>;

const standing = {
  comparison,
  used: usedSchema,
  hasEstimate: z.boolean(),
  isFinished: z.boolean(),
  peopleOn: z.array(z.string()),
};

const orderRow = z.strictObject({
  id: z.string(),
  number: z.string(),
  title: z.string(),
  customer: z.string(),
  quantity: z.number(),
  due: z.string().nullable(),
  state: z.enum(ORDER_STATES),
  taskCount: z.number(),
  finishedTaskCount: z.number(),
  ...standing,
});
export type OrderRow = z.output<typeof orderRow>;

export const workSchema = z.strictObject({ asOf: z.string(), seq: z.number(), orders: z.array(orderRow) });

const lineSchema = z.strictObject({
  technician: z.string(),
  name: z.string(),
  workType: z.enum(WORK_TYPES),
  day: z.string(),
  seconds: z.number(),
  measuredSeconds: z.number(),
  sharedSeconds: z.number(),
  enteredSeconds: z.number(),
  cost: z.string().nullable(),
  costs: z.enum(['shown', 'private', 'no-rate']),
});
export type LineRow = z.output<typeof lineSchema>;

const taskRow = z.strictObject({
  id: z.string(),
  position: z.number(),
  title: z.string(),
  workCenter: z.string(),
  code: z.string(),
  ...standing,
  lines: z.array(lineSchema),
});
export type TaskRow = z.output<typeof taskRow>;

export const orderSchema = z.strictObject({
  asOf: z.string(),
  seq: z.number(),
  order: orderRow.extend({ code: z.string(), includes: z.array(z.enum(WORK_TYPES)) }),
  tasks: z.array(taskRow),
});
export type OrderJson = z.output<typeof orderSchema>;

/** Which labor line to open. */
export const lineQuerySchema = z.strictObject({
  technician: z.string().min(1),
  target: z.string().min(1),
  workType: z.enum(WORK_TYPES),
  day: dayText,
});

const scanSchema = z.strictObject({
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
    }),
  ),
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
