import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { PAY_CLASSES } from '@wergon/core/pay';
import { WORK_TYPES } from '@wergon/core/work';
import { scanSchema } from '../ledger/index.ts';
import {
  day,
  dayText,
  entryId,
  idText,
  instant,
  instantText,
  onceId,
  seconds,
  targetId,
  technicianId,
  workOrderId,
} from '../wire/index.ts';

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

/** What is done to several records at once. */
const recordsAct = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('out') }),
  z.strictObject({ what: z.literal('give'), technician }),
  z.strictObject({ what: z.literal('work'), target: idText<'TargetId'>(), workType: z.enum(WORK_TYPES) }),
  /** So many seconds later; earlier, where it is negative. */
  z.strictObject({
    what: z.literal('shift'),
    seconds: z
      .int()
      .min(-86_400)
      .max(86_400)
      .refine((seconds) => seconds !== 0, 'expected a length'),
  }),
]);

/** Stretches as they were shown and lengths that were written down, to which one thing is done, all or none. */
export const recordsEditSchema = z
  .strictObject({
    blocks: z.array(piece).max(100),
    hours: z.array(idText<'EntryId'>()).max(100),
    act: recordsAct,
    reason,
    once: onceId,
  })
  .refine(({ blocks, hours }) => blocks.length + hours.length > 0, {
    path: ['blocks'],
    message: 'names no record',
  })
  .refine(({ hours }) => new Set(hours).size === hours.length, {
    path: ['hours'],
    message: 'names a record twice',
  })
  .refine(({ hours, act }) => act.what !== 'shift' || hours.length === 0, {
    path: ['hours'],
    message: 'a length has no place on the tape',
  });
export type RecordsEditJson = z.input<typeof recordsEditSchema>;

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

/** Tasks that were written down at stations and are tied to no task of the desk yet, the latest first. */
export const writtenSchema = z.object({
  written: z.array(
    z.object({
      task: targetId,
      words: z.string(),
      workCenter: z.string(),
      /** The order that it stands in; made for it where nobody knew one. */
      order: workOrderId,
      number: z.string(),
      /** What was given as its order. */
      said: z.string(),
      at: instant,
      by: z.string(),
      seconds: z.number(),
      people: z.array(z.string()),
    }),
  ),
});
export type WrittenJson = DeepReadonly<z.output<typeof writtenSchema>>['written'][number];
export const tieSchema = z.strictObject({ target: idText<'TargetId'>(), once: onceId });

/** What is to be said of a person's work on a day; of one of its tasks, or of none in particular. */
export const addNoteSchema = z.strictObject({
  technician,
  day: dayText,
  target: idText<'TargetId'>().nullable(),
  text: z.string().trim().min(1).max(1000),
  once: onceId,
});
export const markNoteSchema = z.strictObject({ isForCustomer: z.boolean() });

const note = z.object({
  id: entryId,
  at: instant,
  target: targetId.nullable(),
  title: z.string(),
  text: z.string(),
  /** Whether the customer may read it. */
  isForCustomer: z.boolean(),
  /** Who wrote it: its technician at a station, or somebody at the desk. */
  by: z.string(),
});
export type NoteJson = DeepReadonly<z.output<typeof note>>;

const present = z.object({
  from: instant,
  to: instant,
  isOpen: z.boolean(),
  /** Ended by a rule, because nobody said when. */
  isTorn: z.boolean(),
});
export type PresentJson = z.output<typeof present>;

export const personDayQuery = z.strictObject({ technician, day: dayText });

const run = z.object({
  target: targetId,
  workType: z.enum(WORK_TYPES),
  title: z.string(),
  /** The number of the task's order; `null` of an activity. */
  order: z.string().nullable(),
});

/** One person's local day: what the tape shows and what is written down, with what is planned. */
export const personDaySchema = z.object({
  asOf: instant,
  technician: technicianId,
  name: z.string(),
  day,
  isClosed: z.boolean(),
  /** Whether whoever asks may put this person's time right. */
  mayCorrect: z.boolean(),
  planned: z.object({ from: instant, to: instant }).nullable(),
  stints: z.array(
    z.object({
      from: instant,
      to: instant,
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
    z.object({
      id: entryId,
      target: targetId,
      title: z.string(),
      workType: z.enum(WORK_TYPES),
      seconds: z.number(),
      entry: scanSchema,
    }),
  ),
  notes: z.array(note),
  /** Time on nothing shorter than this is what a scan takes. */
  gapSeconds: z.number(),
  attendedSeconds: z.number(),
  chargedSeconds: z.number(),
  /** What of the shift that begins on it is paid beyond straight hours. */
  overtimeSeconds: seconds,
  /** How what runs is paid from when on, where that is not straight all the time. */
  stages: z.array(z.object({ class: z.enum(PAY_CLASSES), at: instant })),
});
export type PersonDayJson = DeepReadonly<z.output<typeof personDaySchema>>;

/** A person by their name, their number, their initials, or a badge that is scanned. It is posted: a badge's code belongs
 *  into no address. */
export const findPersonSchema = z.strictObject({ search: z.string().trim().min(1).max(100) });
export const foundPersonSchema = z.object({
  person: z.object({ id: technicianId, name: z.string() }).nullable(),
});

/** Tasks and activities that match some words or a scanned code. */
export const targetsQuery = z.strictObject({ search: z.string().max(100) });
export const targetsSchema = z.object({
  targets: z.array(
    z.object({
      id: targetId,
      kind: z.enum(['task', 'activity']),
      title: z.string(),
      /** What else is told of it: the customer, or that it is finished. */
      more: z.string(),
      /** The kind of work that a traveler's code names with its task. */
      workType: z.enum(WORK_TYPES).nullable(),
    }),
  ),
  /** Set when the search was a code that stands for just this one. */
  exact: targetId.nullable(),
});
export type TargetJson = z.output<typeof targetsSchema>['targets'][number];
