import { z } from 'zod';
import { APPROVAL_STATES } from '@wergon/core/approval';
import { day, dayText, idText, instant, technicianId } from '../wire/index.ts';

const technician = idText<'TechnicianId'>();

/** Shift days of people as they were seen; `stamp` says what was seen, and what has changed since is refused. */
export const approveSchema = z.strictObject({
  days: z
    .array(z.strictObject({ technician, day: dayText, stamp: z.string().max(100) }))
    .min(1)
    .max(2000),
});
/** Approvals to be taken back, all or none. */
export const unapproveSchema = z.strictObject({
  days: z
    .array(z.strictObject({ technician, day: dayText }))
    .min(1)
    .max(2000),
});

export const approvalsSchema = z.object({
  asOf: instant,
  firstDay: day,
  lastDay: day,
  /** `none`: this shop asks for no approval. */
  approval: z.enum(['person-day', 'none']),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      department: z.string(),
      /** Why this user cannot approve this person's time; `null` where they can. */
      refusal: z.enum(['own', 'other-department', 'right']).nullable(),
      days: z.array(
        z.object({
          day,
          stamp: z.string(),
          plannedSeconds: z.number(),
          attendedSeconds: z.number(),
          chargedSeconds: z.number(),
          /** What of it is paid beyond straight hours. */
          overtimeSeconds: z.number(),
          split: z.enum(['none', 'decided', 'changed']),
          looseEnds: z.number(),
          state: z.enum(APPROVAL_STATES),
          by: z.string().nullable(),
          isConfirmed: z.boolean(),
          isClosed: z.boolean(),
          /** Still going on: not to be approved yet. */
          isOpen: z.boolean(),
        }),
      ),
    }),
  ),
});
export type ApprovalsJson = z.output<typeof approvalsSchema>;
