import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { scanSchema } from '../ledger/index.ts';
import { dayText, idText, instantText } from '../wire/index.ts';

const technician = idText<'TechnicianId'>();
const reason = z.string().trim().max(200).default('');

const piece = z.strictObject({
  technician,
  from: instantText,
  /** `null` where it goes on. */
  to: instantText.nullable(),
  running: z
    .array(z.strictObject({ target: idText<'TargetId'>(), workType: z.enum(WORK_TYPES) }))
    .min(1)
    .max(20),
});

/** A block of the tape as it was shown, and what it becomes. */
export const tapeEditSchema = z.strictObject({
  block: piece.nullable(),
  becomes: z.array(piece).max(4),
  reason,
});
export type TapeEditJson = z.input<typeof tapeEditSchema>;

const presence = z.strictObject({ from: instantText, to: instantText.nullable() });

/** A shift or a break as it was shown, and what it becomes; `null` where it was never scanned, or never was. */
export const presenceEditSchema = z
  .strictObject({
    technician,
    kind: z.enum(['shift', 'break']),
    was: presence.nullable(),
    becomes: presence.nullable(),
    reason,
  })
  .refine(({ was, becomes }) => was !== null || becomes !== null, {
    path: ['becomes'],
    message: 'say what was, or what it becomes',
  });
export type PresenceEditJson = z.input<typeof presenceEditSchema>;

const present = z.strictObject({
  from: z.string(),
  to: z.string(),
  isOpen: z.boolean(),
  /** Ended by a rule, because nobody said when. */
  isTorn: z.boolean(),
});
export type PresentJson = z.output<typeof present>;

export const personDayQuery = z.strictObject({ technician, day: dayText });

const run = z.strictObject({
  target: z.string(),
  workType: z.enum(WORK_TYPES),
  title: z.string(),
  /** The number of the task's order; `null` of an activity. */
  order: z.string().nullable(),
});

/** One person's local day: what the tape shows and what is written down, with what is planned. */
export const personDaySchema = z.strictObject({
  asOf: z.string(),
  technician: z.string(),
  name: z.string(),
  day: z.string(),
  isClosed: z.boolean(),
  /** Whether whoever asks may put this person's time right. */
  mayCorrect: z.boolean(),
  planned: z.strictObject({ from: z.string(), to: z.string() }).nullable(),
  stints: z.array(
    z.strictObject({
      from: z.string(),
      to: z.string(),
      isOpen: z.boolean(),
      isTorn: z.boolean(),
      running: z.array(run),
      opened: scanSchema,
      closed: scanSchema.nullable(),
    }),
  ),
  shifts: z.array(present),
  breaks: z.array(present),
  hours: z.array(
    z.strictObject({
      id: z.string(),
      target: z.string(),
      title: z.string(),
      workType: z.enum(WORK_TYPES),
      seconds: z.number(),
      entry: scanSchema,
    }),
  ),
  /** Time on nothing shorter than this is what a scan takes. */
  gapSeconds: z.number(),
  attendedSeconds: z.number(),
  chargedSeconds: z.number(),
});
export type PersonDayJson = z.output<typeof personDaySchema>;

/** A person by their name, their number, their initials, or a badge that is scanned. It is posted: a badge's code belongs
 *  into no address. */
export const findPersonSchema = z.strictObject({ search: z.string().trim().min(1).max(100) });
export const foundPersonSchema = z.strictObject({
  person: z.strictObject({ id: z.string(), name: z.string() }).nullable(),
});

/** Tasks and activities that match some words or a scanned code. */
export const targetsQuery = z.strictObject({ search: z.string().max(100) });
export const targetsSchema = z.strictObject({
  targets: z.array(
    z.strictObject({
      id: z.string(),
      kind: z.enum(['task', 'activity']),
      title: z.string(),
      /** What else is told of it: the customer, or that it is finished. */
      more: z.string(),
      /** The kind of work that a traveler's code names with its task. */
      workType: z.enum(WORK_TYPES).nullable(),
    }),
  ),
  /** Set when the search was a code that stands for just this one. */
  exact: z.string().nullable(),
});
export type TargetJson = z.output<typeof targetsSchema>['targets'][number];
