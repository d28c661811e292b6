import { z } from 'zod';
import {
  dayText,
  cents,
  day,
  idText,
  seconds,
  technicianId,
  wholeNumber,
  workOrderId,
} from '../wire/index.ts';

const technician = idText<'TechnicianId'>();
/** Seconds of a shift day by class, as somebody decides them. */
const MOST_SECONDS = 7 * 86_400;
const length = wholeNumber.max(MOST_SECONDS);
const classes = { straight: length, overtime: length, double: length };

/** How a shift day would be paid by another split. */
export const trySplitSchema = z.strictObject({ technician, day: dayText, ...classes });

/** Shift days whose classes somebody decides, as they were seen, all or none. Without classes the rule's own split is taken. */
export const decideSplitsSchema = z.strictObject({
  days: z
    .array(
      z.strictObject({
        technician,
        day: dayText,
        stamp: z.string().max(100),
        classes: z.strictObject(classes).nullable(),
      }),
    )
    .min(1)
    .max(2000)
    .superRefine((days, context) => {
      const named = new Set<string>();
      for (const [i, each] of days.entries()) {
        const key = `${each.technician} ${each.day}`;
        if (named.has(key))
          context.addIssue({ code: 'custom', path: [i, 'day'], message: 'is named twice for this person' });
        named.add(key);
      }
    }),
  reason: z.string().trim().min(1, 'say why').max(200),
});
/** Shift days that are paid by the rule again, all or none. */
export const resetSplitsSchema = z.strictObject({
  days: z
    .array(z.strictObject({ technician, day: dayText }))
    .min(1)
    .max(2000),
});

const toldClasses = z.object({ straight: seconds, overtime: seconds, double: seconds });
/** How a shift day is paid now, by the rule, and by what was decided of it. Money is told to those alone who may see rates. */
export const daySplitSchema = z.object({
  technician: technicianId,
  day,
  stamp: z.string(),
  paidSeconds: seconds,
  split: z.enum(['none', 'decided', 'changed']),
  now: toldClasses,
  byRule: toldClasses,
  /** What overtime of the day adds, now and by the rule. */
  premium: z.object({ now: cents, byRule: cents }).nullable(),
  decided: z.object({ ...toldClasses.shape, by: z.string(), reason: z.string() }).nullable(),
  /** Why nobody can decide on it: `no-rule` holds there, it is `closed` or still `open`; `null` where it can be done. */
  refusal: z.enum(['no-rule', 'closed', 'open', 'own', 'other-people', 'right']).nullable(),
  /** The jobs that bear what it adds now. */
  orders: z.array(z.object({ order: workOrderId, number: z.string(), premium: cents })),
});
export type DaySplit = z.output<typeof daySplitSchema>;
export const daySplitQuery = z.strictObject({ technician, day: dayText });

export const triedSplitSchema = z.object({
  /** What overtime of that week adds before and after; `null` for whoever may not see rates. */
  premium: z.object({ before: cents, after: cents }).nullable(),
});
