import { z } from 'zod';
import { LOOSE_END_KINDS } from '@wergon/core/ledger';
import { dayText, day, instant, seconds, technicianId, workOrderId } from '../wire/index.ts';

const SPLITS = ['estimate', 'equal'] as const;

/** The shop's rules as they are told. What an older version kept of them lacks what came later. */
export const policyJson = z.object({
  split: z.enum(SPLITS),
  maxStintHours: z.number(),
  maxShiftHours: z.number(),
  gapMinutes: z.number(),
  maxBreakMinutes: z.number(),
  warnAt: z.number().default(80),
});

/** Rules as somebody says them: lengths in whole hours or minutes, the share of an estimate in percent. */
export const policyInput = z.strictObject({
  split: z.enum(SPLITS),
  maxStintHours: z.int().min(1).max(48),
  maxShiftHours: z.int().min(1).max(48),
  gapMinutes: z.int().min(0).max(240),
  maxBreakMinutes: z.int().min(0).max(480),
  warnAt: z.int().min(1).max(100),
});

/** Rules from a local day on; without rules, what was said for that day is taken out again. */
const change = { from: dayText, rules: policyInput.nullable() };
export const rulesChangeSchema = z.strictObject(change);
/** What changes days gone by is stored only with `isPastAgreed`, given after its effect was seen. */
export const saveRulesSchema = z.strictObject({ ...change, isPastAgreed: z.boolean().default(false) });
export type RulesChange = z.input<typeof rulesChangeSchema>;

export const rulesSchema = z.object({
  /** The earliest first; those without a day hold for all time before the next. */
  rules: z.array(
    z.object({
      from: day.nullable(),
      rules: policyJson,
      by: z.string().nullable(),
      at: instant.nullable(),
    }),
  ),
  /** People whose days are still being derived anew. */
  pending: z.number(),
});
export type RulesJson = z.output<typeof rulesSchema>;

const both = <Schema extends z.ZodType>(value: Schema) => z.object({ before: value, after: value });

/** What rules would do to the days from theirs on; only what differs is named. */
export const rulesEffectSchema = z.object({
  isPast: z.boolean(),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      days: z.number(),
      charged: both(seconds),
      attended: both(seconds),
    }),
  ),
  /** Orders, and without a number indirect time. Cost is told to those alone who may see rates. */
  orders: z.array(
    z.object({
      order: workOrderId.nullable(),
      number: z.string(),
      title: z.string(),
      isOpen: z.boolean(),
      seconds: both(seconds),
      cost: both(z.string()).nullable(),
    }),
  ),
  looseEnds: z.array(z.object({ kind: z.enum(LOOSE_END_KINDS), count: both(z.number()) })),
  /** Days of closed pay periods among them; their difference is paid with the next one. */
  closedDays: z.number(),
});
export type RulesEffect = z.output<typeof rulesEffectSchema>;
