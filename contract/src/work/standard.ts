import { z } from 'zod';
import { idText, instant, standardId } from '../wire/index.ts';
import { stepFields } from './order.ts';

const name = z.string().trim().min(1).max(120);

export const SCOPE_KINDS = ['general', 'item', 'unitType', 'customer'] as const;
/** For what orders a standard is meant. */
const scopeSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('general') }),
    z.strictObject({ kind: z.enum(['item', 'unitType', 'customer']), name }),
  ])
  .default({ kind: 'general' });
const scopeJson = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('general') }),
  z.object({ kind: z.enum(['item', 'unitType', 'customer']), name: z.string() }),
]);

export const standardTaskSchema = z.strictObject({ ...stepFields, scope: scopeSchema });
export type StandardTaskFields = z.output<typeof standardTaskSchema>;

export const standardJobSchema = z.strictObject({
  title: name,
  scope: scopeSchema,
  steps: z
    .array(z.strictObject({ task: idText<'StandardId'>(), isRequired: z.boolean() }))
    .min(1, 'a standard job needs at least one task')
    .max(60),
});
export type StandardJobFields = z.output<typeof standardJobSchema>;

/** `version` is the one that this grew out of; absent for a new standard. */
const saved = {
  id: idText<'StandardId'>().nullable(),
  version: z.int().nullable(),
  isOff: z.boolean().default(false),
};
export const saveStandardTaskSchema = z.strictObject({ ...saved, task: standardTaskSchema });
export const saveStandardJobSchema = z.strictObject({ ...saved, job: standardJobSchema });

/** A step as it is told: hours are decimal strings as they were entered. */
export const stepJson = {
  title: z.string(),
  workCenter: z.string(),
  grade: z.string(),
  setupHours: z.string().exactOptional(),
  runHours: z.string().exactOptional(),
  runHoursPerPiece: z.string().exactOptional(),
  /** Absent in what was stored before there was any. */
  description: z.string().exactOptional(),
  instructions: z.array(z.object({ text: z.string(), hours: z.string().exactOptional() })),
  reports: z.array(
    z.object({
      when: z.enum(['start', 'end', 'done']),
      kind: z.enum(['pieces', 'value', 'remark']),
      label: z.string(),
      unit: z.string(),
      least: z.number().nullable(),
      most: z.number().nullable(),
      /** Absent in what was stored before a report could be marked: it may be left out. */
      maySkip: z.boolean().exactOptional(),
    }),
  ),
  price: z.string().nullable(),
};
const kept = {
  id: standardId,
  version: z.number(),
  isOff: z.boolean(),
  savedAt: instant,
  savedBy: z.string(),
};
const standardTaskJson = z.object({
  ...kept,
  ...stepJson,
  /** Absent in what was stored before a single task could be meant for some orders alone: it is meant for all. */
  scope: scopeJson.exactOptional(),
  usedBy: z.array(z.string()),
});
export type StandardTaskJson = z.output<typeof standardTaskJson>;
const standardJobJson = z.object({
  ...kept,
  title: z.string(),
  scope: scopeJson,
  steps: z.array(z.object({ task: standardId, isRequired: z.boolean() })),
});
export type StandardJobJson = z.output<typeof standardJobJson>;

export const standardsSchema = z.object({
  tasks: z.array(standardTaskJson),
  jobs: z.array(standardJobJson),
});

/** One earlier version of a standard. */
export const standardVersionsSchema = z.object({
  versions: z.array(
    z.object({
      version: z.number(),
      savedAt: instant,
      savedBy: z.string(),
      changes: z.array(z.object({ field: z.string(), before: z.string(), after: z.string() })),
    }),
  ),
});
