import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { dayText, idText, instantText, secondsUpTo, wholeNumber } from '../wire/index.ts';

const entryId = idText<'EntryId'>();
const technician = idText<'TechnicianId'>();
const target = idText<'TargetId'>();
const text = z.string().min(1).max(4000);
const shortText = z.string().min(1).max(200);
const workType = z.enum(WORK_TYPES);
const seconds = secondsUpTo(366 * 86_400);
const targets = z.array(target).min(1).max(100).readonly();
const oneTarget = z.array(target).length(1).readonly();

const made = { id: entryId };
const happened = { ...made, at: instantText };
const byTechnician = { ...happened, technician };

const shiftEntry = <Type extends string>(type: Type) =>
  z.strictObject({ ...byTechnician, type: z.literal(type) });
const taskEntry = <Type extends string>(type: Type) =>
  z.strictObject({ ...happened, type: z.literal(type), technician: technician.exactOptional(), targets });

const workStart = z.strictObject({
  ...byTechnician,
  type: z.literal('work-start'),
  targets,
  workType: workType.exactOptional(),
  join: z.boolean().exactOptional(),
  reason: shortText.exactOptional(),
  machine: shortText.exactOptional(),
  chargeRate: shortText.exactOptional(),
  override: shortText.exactOptional(),
  payClass: shortText.exactOptional(),
});
const workStop = z.strictObject({
  ...byTechnician,
  type: z.literal('work-stop'),
  targets: targets.exactOptional(),
});
const hours = z.strictObject({
  ...made,
  type: z.literal('hours'),
  technician,
  targets: oneTarget,
  workType: workType.exactOptional(),
  day: dayText,
  seconds,
  machine: shortText.exactOptional(),
  chargeRate: shortText.exactOptional(),
  payClass: shortText.exactOptional(),
});
const count = z.strictObject({
  ...byTechnician,
  type: z.literal('count'),
  targets: oneTarget,
  good: wholeNumber,
  scrap: wholeNumber,
  reason: shortText.exactOptional(),
});
const note = z.strictObject({
  ...happened,
  type: z.literal('note'),
  technician: technician.exactOptional(),
  targets: z.array(target).max(1).readonly().exactOptional(),
  text,
});

const reasoned = { ...made, target: entryId, by: shortText.exactOptional(), why: text.exactOptional() };
const mark = <Type extends string>(type: Type) => z.strictObject({ ...reasoned, type: z.literal(type) });
const amendSet = z.strictObject({
  at: instantText.nullable().exactOptional(),
  technician: technician.nullable().exactOptional(),
  targets: z.array(target).max(100).readonly().nullable().exactOptional(),
  workType: workType.nullable().exactOptional(),
  join: z.boolean().nullable().exactOptional(),
  reason: shortText.nullable().exactOptional(),
  machine: shortText.nullable().exactOptional(),
  chargeRate: shortText.nullable().exactOptional(),
  override: shortText.nullable().exactOptional(),
  payClass: shortText.nullable().exactOptional(),
  day: dayText.nullable().exactOptional(),
  seconds: seconds.nullable().exactOptional(),
  good: wholeNumber.nullable().exactOptional(),
  scrap: wholeNumber.nullable().exactOptional(),
  text: text.nullable().exactOptional(),
});
const amend = z.strictObject({ ...reasoned, type: z.literal('amend'), set: amendSet });

/** One entry of the labor stream as it crosses the wire, read into core's `Entry`. */
export const entrySchema = z.discriminatedUnion('type', [
  shiftEntry('shift-in'),
  shiftEntry('shift-out'),
  shiftEntry('break-start'),
  shiftEntry('break-end'),
  workStart,
  workStop,
  taskEntry('task-done'),
  taskEntry('task-reopen'),
  hours,
  count,
  note,
  mark('void'),
  mark('restore'),
  amend,
]);
/** An entry as JSON, before it is read. */
export type EntryJson = z.input<typeof entrySchema>;
