import { z } from 'zod';
import { PAY_CLASSES, PREMIUM_ON, findTierOutOfOrder } from '@wergon/core/pay';
import { estimateSeconds } from '@wergon/core/work';
import {
  amountText,
  cents,
  day,
  dayText,
  hoursText,
  instant,
  seconds,
  technicianId,
  workOrderId,
} from '../wire/index.ts';

/** Hours as seconds, rounded once. */
export const overHours = hoursText.transform((runHours) => estimateSeconds({ runHours }, 1));
export const TIERS_OUT_OF_ORDER = 'hours must rise from tier to tier, and the class must not fall';
const MOST_TIERS = 5;
/** What is paid beyond straight hours: at least as much as they are, and no more than anybody pays. */
const times = amountText.refine(
  ({ numerator, denominator }) => numerator >= denominator && numerator <= 10n * denominator,
  'must be from 1 to 10',
);
const beyond = z.enum(PAY_CLASSES.filter((each) => each !== 'straight'));
const tiersUpTo = (hours: number) =>
  z
    .array(z.strictObject({ over: overHours, class: beyond }))
    .max(MOST_TIERS)
    .superRefine((tiers, context) => {
      const tooLong = tiers.findIndex(({ over }) => over > hours * 3600);
      if (tooLong >= 0)
        context.addIssue({ code: 'custom', path: [tooLong, 'over'], message: `must not be above ${hours}` });
      const wrong = findTierOutOfOrder(tiers);
      if (wrong !== undefined)
        context.addIssue({ code: 'custom', path: [wrong, 'over'], message: TIERS_OUT_OF_ORDER });
    });

/** How overtime is paid, as somebody says it. Weekdays are those of ISO 8601, 1 is Monday. */
export const overtimeTermsSchema = z.strictObject({
  weekStart: z.int().min(1).max(7),
  day: tiersUpTo(24),
  week: tiersUpTo(168),
  special: z
    .array(z.strictObject({ on: z.union([z.literal('closed'), z.int().min(1).max(7)]), class: beyond }))
    .max(8),
  multipliers: z.strictObject({ overtime: times, double: times }),
  premiumOn: z.enum(PREMIUM_ON),
});
export type OvertimeTerms = z.input<typeof overtimeTermsSchema>;

const group = z.string().trim().max(100);
/** Rules from a day on, of a pay group or, empty, of everybody. They can take the place of others; without terms those are
 *  taken out. */
const change = {
  from: dayText,
  group,
  terms: overtimeTermsSchema.nullable(),
  replaces: z.strictObject({ from: dayText, group }).nullable().default(null),
};
/** What changes days gone by is stored only with `isPastAgreed`, given after it was tried. */
export const saveOvertimeSchema = z.strictObject({ ...change, isPastAgreed: z.boolean().default(false) });
export type OvertimeChange = z.input<typeof saveOvertimeSchema>;

/** The same tried on days gone by, some people at a time. */
export const tryOvertimeSchema = z
  .strictObject({ ...change, firstDay: dayText, lastDay: dayText, after: z.string().max(200).nullable() })
  .refine(({ firstDay, lastDay }) => firstDay <= lastDay, {
    path: ['lastDay'],
    message: 'must not be before the first day',
  })
  .refine(({ firstDay, lastDay }) => lastDay - firstDay <= 366, {
    path: ['lastDay'],
    message: 'is more than a year later',
  });

const tier = z.object({ over: z.string(), class: z.enum(PAY_CLASSES) });
const termsJson = z.object({
  weekStart: z.number(),
  day: z.array(tier),
  week: z.array(tier),
  special: z.array(z.object({ on: z.union([z.literal('closed'), z.number()]), class: z.enum(PAY_CLASSES) })),
  multipliers: z.object({ overtime: z.string(), double: z.string() }),
  premiumOn: z.enum(PREMIUM_ON),
});

export const overtimeSchema = z.object({
  /** The latest first; of one day everybody's before those of groups. */
  rules: z.array(z.object({ from: day, group: z.string(), terms: termsJson, by: z.string(), at: instant })),
  groups: z.array(z.object({ name: z.string(), people: z.number() })),
  /** People whose days are still being derived anew. */
  pending: z.number(),
});
export type OvertimeJson = z.output<typeof overtimeSchema>;

const classSeconds = z.object({ straight: seconds, overtime: seconds, double: seconds });
const both = <Schema extends z.ZodType>(value: Schema) => z.object({ before: value, after: value });

/** What rules would have made of some people's days; only what differs is named. Money is told to those alone who may see
 *  rates. */
export const triedOvertimeSchema = z.object({
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      classes: both(classSeconds),
      premium: both(cents).nullable(),
    }),
  ),
  /** Orders, and without a number indirect time. */
  orders: z.array(
    z.object({
      order: workOrderId.nullable(),
      number: z.string(),
      title: z.string(),
      premium: both(cents),
    }),
  ),
  /** Premium that no job bears. */
  overhead: both(cents).nullable(),
  /** How many people have been looked at, of how many. */
  done: z.number(),
  of: z.number(),
  /** Whom to go on after; `null` when all have been looked at. */
  next: z.string().nullable(),
});
export type TriedOvertime = z.output<typeof triedOvertimeSchema>;

/** To which pay group somebody belongs from a day on; the earliest first, without a group empty. */
export const payGroupsSchema = z.object({ groups: z.array(z.object({ from: day, group: z.string() })) });
/** `null` takes out what was said for that day. */
export const savePayGroupSchema = z.strictObject({
  from: dayText,
  group: group.nullable(),
  isPastAgreed: z.boolean().default(false),
});
