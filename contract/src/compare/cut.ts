import { z } from 'zod';
import { CUT_FIELDS, MOST_LEVELS } from '@wergon/core/compare';
import { cents, day, instant, onceId, seconds } from '../wire/index.ts';
import { costs, difference } from './difference.ts';
import { checkDays, period } from './periods.ts';

const fields = z.array(z.enum(CUT_FIELDS)).min(1).max(MOST_LEVELS);
const noneTwice = (by: readonly string[]) => new Set(by).size === by.length;
const levels = fields.refine(noneTwice, 'must not name one thing twice').readonly();
const key = z.string().max(200);
/** Only labor that has these keys in these fields. */
const filters = z.partialRecord(z.enum(CUT_FIELDS), key);

/** What labor is cut by, and which labor. */
export const cutSpec = z.strictObject({ by: levels, only: filters.default({}) });
export type CutSpec = z.output<typeof cutSpec>;

/** A JSON value in a query. */
const jsonText = <Schema extends z.ZodType>(schema: Schema) =>
  z
    .string()
    .max(4000)
    .transform((text, context) => {
      try {
        return JSON.parse(text) as unknown;
      } catch {
        context.addIssue({ code: 'custom', message: 'expected JSON' });
        return z.NEVER;
      }
    })
    .pipe(schema);

export const cutQuery = z
  .strictObject({
    ...period,
    cut: jsonText(cutSpec),
    /** The keys of the groups that are opened, one within the other; none for the first level. */
    path: jsonText(z.array(key).max(MOST_LEVELS - 1)).exactOptional(),
    /** All rows of the last level, for a file. */
    whole: z.literal('yes').exactOptional(),
  })
  .superRefine(checkDays);

const sums = {
  seconds,
  measuredSeconds: seconds,
  sharedSeconds: seconds,
  enteredSeconds: seconds,
  cost: cents,
  uncostedPieces: z.number(),
};

/** What whole tasks were to take, and why they differ. */
const wholeTasks = z.object({
  taskCount: z.number(),
  estimatedSeconds: seconds,
  estimatedCost: cents,
  difference,
  /** Of one order; those of several are not the same thing. */
  pieces: z.object({ good: z.number(), scrap: z.number() }).nullable(),
  runSeconds: seconds,
});

/** Groups of labor, or all rows of the last level, with what they come to. */
export const cutSchema = z.object({
  asOf: instant,
  firstDay: day,
  lastDay: day,
  costs,
  total: z.object(sums),
  groups: z
    .array(
      z.object({
        /** The key in each field down to this level, and how people say it. */
        keys: z.array(z.string()).readonly(),
        names: z.array(z.string()).readonly(),
        ...sums,
        /** `null` where the group is not made of whole tasks: some of their labor lies outside of it. */
        tasks: wholeTasks.nullable(),
      }),
    )
    .readonly(),
  /** Groups beyond those that are told. */
  moreCount: z.number(),
});
export type CutJson = z.output<typeof cutSchema>;
export type CutRow = CutJson['groups'][number];

const cutName = z.string().trim().min(1).max(80);
export const keepCutSchema = z.strictObject({
  id: onceId,
  name: cutName,
  /** The role that it is shared with, by its id; `null` keeps it for oneself. */
  role: z.string().max(200).nullable().default(null),
  cut: cutSpec,
});
export const dropCutSchema = z.strictObject({ id: z.string().max(200) });

/** Cuts that somebody keeps, and those that are shared with them. */
export const keptCutsSchema = z.object({
  cuts: z
    .array(
      z.object({
        id: z.string(),
        name: z.string(),
        role: z.string().nullable(),
        isOwn: z.boolean(),
        owner: z.string(),
        cut: cutSpec,
      }),
    )
    .readonly(),
  /** Roles that one can share with: one's own. */
  roles: z.array(z.object({ id: z.string(), name: z.string().nullable() })).readonly(),
});
export type KeptCut = z.output<typeof keptCutsSchema>['cuts'][number];
