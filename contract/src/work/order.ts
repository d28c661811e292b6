import { z } from 'zod';
import { ORDER_STATES, WORK_TYPES } from '@wergon/core/work';
import { chargeSchema } from '../shop/index.ts';
import { amountText, dayText, hoursText, idText, onceId, wholeNumber } from '../wire/index.ts';

const shortText = z.string().trim().min(1).max(120);
const label = z.string().trim().max(80).default('');

/** No estimate is longer than 10,000 hours. */
export const estimateText = hoursText.refine(
  ({ numerator, denominator }) => numerator <= 10_000n * denominator,
  'must not be above 10000 hours',
);
/** An amount in whole cents. */
export const priceText = amountText.refine(
  ({ numerator, denominator }) =>
    (numerator * 100n) % denominator === 0n && numerator <= 10n ** 12n * denominator,
  'must be an amount with at most two decimals',
);

/** What is asked of whoever works on a task, and when. */
export const REPORT_TIMES = ['start', 'end', 'done'] as const;
export const REPORT_KINDS = ['pieces', 'value', 'remark'] as const;
const report = z
  .strictObject({
    when: z.enum(REPORT_TIMES),
    kind: z.enum(REPORT_KINDS),
    label: z.string().trim().max(60).default(''),
    unit: z.string().trim().max(12).default(''),
    least: z.number().nullable().default(null),
    most: z.number().nullable().default(null),
    /** Whether it may be left out. */
    maySkip: z.boolean().default(true),
  })
  .refine(({ kind, label: name }) => kind !== 'value' || name !== '', {
    path: ['label'],
    message: 'a measured value needs a name',
  })
  .refine(({ least, most }) => least === null || most === null || least <= most, {
    path: ['most'],
    message: 'must not be below the least',
  });

const instruction = z.strictObject({
  text: z.string().trim().min(1).max(300),
  hours: estimateText.exactOptional(),
});

/** What a step is, whether it stands in a standard or in an order. */
export const stepFields = {
  title: shortText,
  workCenter: z.string().trim().max(120),
  grade: z.string(),
  /** Absent hours everywhere: no estimate. */
  setupHours: estimateText.exactOptional(),
  runHours: estimateText.exactOptional(),
  runHoursPerPiece: estimateText.exactOptional(),
  /** What there is to say of it as a whole; its instructions are the steps of it. */
  description: z.string().trim().max(2000).default(''),
  instructions: z.array(instruction).max(60).default([]),
  reports: z.array(report).max(12).default([]),
  /** What it is sold for, if it is sold flat. */
  price: priceText.nullable().default(null),
};

/** Which version of which standard a task was copied from. */
export const originSchema = z.strictObject({
  job: z.string().max(200).nullable(),
  jobVersion: z.int().nullable(),
  task: z.string().max(200),
  taskVersion: z.int(),
});

const taskFields = z.strictObject({
  /** The task that this one goes on from; absent for a new one. */
  id: z.string().max(200).nullable().default(null),
  ...stepFields,
  isOptional: z.boolean().default(false),
  costCode: label,
  charge: chargeSchema.nullable().default(null),
  /** Technicians by id and crews by name, the first to be asked first. */
  assigned: z
    .array(z.strictObject({ kind: z.enum(['technician', 'crew']), id: z.string().min(1).max(80) }))
    .max(40)
    .default([]),
  origin: originSchema.nullable().default(null),
});

/** What an order needs beside time, so that somebody who misses one of them can say which. */
const part = z.strictObject({ name: shortText, quantity: z.int().min(1).max(100_000) });

const header = {
  number: shortText,
  title: shortText,
  customer: shortText,
  quantity: wholeNumber.max(1_000_000),
  due: dayText.nullable(),
  division: label,
  jobType: label,
  /** What is made for stock, where it is no customer's unit. */
  item: label,
  unit: z.string().max(200).nullable().default(null),
  price: priceText.nullable().default(null),
  notes: z.string().trim().max(2000).default(''),
  parts: z.array(part).max(100).default([]),
  charge: chargeSchema.nullable().default(null),
  estimateIncludes: z.array(z.enum(WORK_TYPES)),
};

export const newOrderSchema = z.strictObject({ ...header, tasks: z.array(taskFields).max(200) });
export type NewOrder = z.output<typeof newOrderSchema>;
export type NewOrderInput = z.input<typeof newOrderSchema>;
export type TaskFields = NewOrder['tasks'][number];

/** The whole order as it should be, and the version that it grew out of. */
export const saveOrderSchema = newOrderSchema.extend({ version: z.int().min(1) });

/** `accepted` names the optional tasks that were accepted; it is looked at only when the order is accepted. */
export const changeOrderStateSchema = z.strictObject({
  state: z.enum(ORDER_STATES),
  accepted: z.array(z.string().max(200)).max(200).exactOptional(),
  /** Whether to stop whoever is on it; nothing stops by itself. */
  stopsPeople: z.boolean().default(false),
});
export const finishTaskSchema = z.strictObject({ isFinished: z.boolean() });
export const releaseOrdersSchema = z.strictObject({
  orders: z.array(idText<'WorkOrderId'>()).min(1).max(500),
});
export const releasedSchema = z.object({
  released: z.array(z.string()),
  refused: z.array(z.object({ number: z.string(), code: z.string() })),
});
export const duplicateSchema = z.strictObject({ number: shortText });

/** Pictures and papers that go with an order. */
export const ATTACHMENT_TYPES = ['image/png', 'image/jpeg', 'image/webp', 'application/pdf'] as const;
export const MOST_ATTACHMENT_BYTES = 5 * 1024 * 1024;
export const newAttachmentSchema = z.strictObject({
  name: z.string().trim().min(1).max(120),
  base64: z.base64().min(1),
  once: onceId,
});
export const attachmentSchema = z.object({
  name: z.string(),
  type: z.enum(ATTACHMENT_TYPES),
  base64: z.string(),
});

/** The pictures and papers of an order, of which one is asked for at a time. */
export const taskPapersSchema = z.object({
  papers: z.array(z.object({ id: z.string(), name: z.string(), type: z.enum(ATTACHMENT_TYPES) })),
});
