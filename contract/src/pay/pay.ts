import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { day, dayText, instant, technicianId } from '../wire/index.ts';

const period = { firstDay: day, lastDay: day };

export const payPeriodsSchema = z.object({
  asOf: instant,
  /** Newest first; the first one that is not closed takes the adjustments. */
  periods: z.array(
    z.object({
      ...period,
      state: z.enum(['running', 'over', 'closed']),
      closedBy: z.string().nullable(),
      closedAt: instant.nullable(),
      /** Whether a pay file of it was made. */
      isSent: z.boolean(),
    }),
  ),
});

export const periodQuery = z.strictObject({ firstDay: dayText });
const amount = z.string().nullable();
const adjustment = z.object({
  technician: technicianId,
  name: z.string(),
  shiftDay: day,
  title: z.string(),
  workType: z.enum(WORK_TYPES),
  seconds: z.number(),
  cost: amount,
});

/** Seconds of each class, and those of them that are on nothing; less than none where they are taken back. */
const daySeconds = z.object({
  straight: z.number(),
  overtime: z.number(),
  double: z.number(),
  unallocated: z.number(),
});

/** One pay period, person by person; costs only for whoever sees rates. */
export const payPeriodSchema = z.object({
  ...period,
  asOf: instant,
  state: z.enum(['running', 'over', 'closed']),
  closedBy: z.string().nullable(),
  closedAt: instant.nullable(),
  /** The hash of the journal's last entry before the closing. */
  head: z.string().nullable(),
  /** Why it cannot be closed now; `null` where it can. */
  refusal: z.enum(['not-over', 'earlier-open', 'closed', 'not-all-seen']).nullable(),
  canReopen: z.boolean(),
  /** Whether costs are what labor really cost, or standard cost. */
  costs: z.enum(['actual', 'standard']),
  stamp: z.string(),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      department: z.string(),
      /** The pay group that they belong to on the first day; empty for none. */
      payGroup: z.string(),
      attendedSeconds: z.number(),
      chargedSeconds: z.number(),
      /** Of the charged seconds, those that nobody has approved; they are not paid yet. */
      unapprovedSeconds: z.number(),
      openDays: z.array(day),
      cost: amount,
      /** How what is told as charged is paid, and beside it what was attended and on nothing. */
      classes: daySeconds,
      away: z.array(z.object({ kind: z.string(), seconds: z.number() })),
      plannedSeconds: z.number(),
      /** Days that are not all straight, or whose decided split holds no longer. */
      split: z.array(
        z.object({
          day,
          stamp: z.string(),
          classes: daySeconds,
          premium: amount,
          split: z.enum(['none', 'decided', 'changed']),
          /** Whether whoever asks can decide on it now. */
          isDecidable: z.boolean(),
        }),
      ),
    }),
  ),
  totals: z.object({
    attendedSeconds: z.number(),
    chargedSeconds: z.number(),
    unapprovedSeconds: z.number(),
    adjustedSeconds: z.number(),
    classes: daySeconds,
    awaySeconds: z.number(),
    /** What overtime adds that no job bears. */
    overhead: amount,
    cost: amount,
  }),
  /** Derived less closed, of earlier periods; paid with this one. */
  adjustments: z.array(adjustment),
  /** The same by class; only where more differs than straight time. */
  classAdjustments: z.array(
    z.object({ technician: technicianId, name: z.string(), day, classes: daySeconds }),
  ),
});
export type PayPeriodJson = z.output<typeof payPeriodSchema>;

export const closePeriodSchema = z.strictObject({ firstDay: dayText, stamp: z.string().max(100) });
export const reopenPeriodSchema = z.strictObject({
  firstDay: dayText,
  reason: z.string().trim().min(1, 'say why').max(200),
});
