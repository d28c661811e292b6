import { z } from 'zod';
import { ABSENCE_KINDS, MOST_LEAVE_DAYS } from '@wergon/core/people';
import { LEAVE_STANDINGS } from '@wergon/core/station';
import {
  day,
  dayText,
  entryId,
  hoursText,
  idText,
  instant,
  onceId,
  seconds,
  technicianId,
} from '../wire/index.ts';

/** Hours of one day. */
const hoursOfDay = hoursText.refine(
  ({ numerator, denominator }) => numerator > 0n && numerator <= 24n * denominator,
  'must be above 0 and not above 24',
);
const awayDays = {
  from: dayText,
  to: dayText,
  kind: z.enum(ABSENCE_KINDS),
  /** Of each day; left out or `null` for all that is planned of it. */
  hours: hoursOfDay.nullable().default(null),
};
const inOrder = <T extends z.ZodType<{ from: number; to: number }>>(schema: T) =>
  schema
    .refine(({ from, to }) => from <= to, { path: ['to'], message: 'must not be before the first day' })
    .refine(({ from, to }) => to - from < MOST_LEAVE_DAYS, {
      path: ['to'],
      message: 'is more than a year later',
    });
export const absenceSchema = inOrder(z.strictObject({ ...awayDays, isPaid: z.boolean() }));
export const absenceDaysSchema = z.strictObject({ from: dayText, to: dayText });
/** What stands beside an absence that was entered: days on which time is recorded already, and closed ones. */
export const addedAbsenceSchema = z.object({ worked: z.array(day), closed: z.array(day) });

/** Time off that somebody asks for at the desk for themselves. */
export const askTimeOffSchema = inOrder(
  z.strictObject({ ...awayDays, text: z.string().trim().max(500).default(''), once: onceId }),
);
export const withdrawTimeOffSchema = z.strictObject({ request: idText<'EntryId'>(), once: onceId });

/** Seconds of a year by kind of leave: allowed, had, granted ahead, left. */
const balances = z.array(
  z.object({
    kind: z.string(),
    allowed: seconds.nullable(),
    taken: seconds,
    ahead: seconds,
    left: z.number().nullable(),
  }),
);
export const yearQuery = z.strictObject({
  year: z.coerce.number().int().min(1970).max(2199).exactOptional(),
});
export const leaveBalancesSchema = z.object({ year: z.number(), balances });
/** `null` takes out what was said for that year. */
export const saveAllowanceSchema = z.strictObject({
  year: z.int().min(1970).max(2199),
  kind: z.enum(ABSENCE_KINDS),
  hours: hoursText
    .refine(({ numerator, denominator }) => numerator <= 9000n * denominator, 'must not be above 9000')
    .nullable(),
});

/** What somebody asked for themselves, the latest first, and what they may still be away this year. */
export const ownTimeOffSchema = z.object({
  year: z.number(),
  balances,
  requests: z.array(
    z.object({
      request: entryId,
      at: instant,
      kind: z.enum(ABSENCE_KINDS),
      from: day,
      to: day,
      seconds: seconds.nullable(),
      standing: z.enum(LEAVE_STANDINGS),
      /** The last word to it. */
      answer: z.object({ by: z.string(), text: z.string() }).nullable(),
    }),
  ),
});
export type OwnTimeOffJson = z.output<typeof ownTimeOffSchema>;

export const timeOffQuery = z.strictObject({ from: dayText });

/** Who is in and who is away, some weeks of days beside each other. */
export const timeOffSchema = z.object({
  days: z.array(day),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      department: z.string(),
      /** One for each of the days. */
      days: z.array(
        z.object({
          kind: z.enum(['in', 'free', 'away', 'closed']),
          /** The kind of an absence; empty otherwise. */
          why: z.string(),
          /** Of an absence that takes a part of the day: how long it is. */
          seconds: seconds.nullable(),
          isPaid: z.boolean().nullable(),
        }),
      ),
    }),
  ),
});
export type TimeOffJson = z.output<typeof timeOffSchema>;
