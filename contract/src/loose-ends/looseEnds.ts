import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { LOOSE_END_KINDS } from '@wergon/core/ledger';
import { ANSWER_REASONS } from '@wergon/core/loose-ends';
import { usedSchema } from '../ledger/index.ts';
import { comparisonSchema } from '../compare/index.ts';
import {
  day,
  dayText,
  entryId,
  idText,
  instant,
  instantText,
  targetId,
  technicianId,
} from '../wire/index.ts';

/** What names a loose end: its kind, whom and what it is about, and since when. */
const looseEndKey = z.strictObject({
  kind: z.enum(LOOSE_END_KINDS),
  technician: idText<'TechnicianId'>(),
  target: idText<'TargetId'>().nullable(),
  from: instantText,
});

/** One of the likely answers to a loose end as it was shown: if it would be another one now, it is refused. */
export const chosenAnswerSchema = z.strictObject({
  end: looseEndKey,
  reason: z.enum(ANSWER_REASONS),
  at: instantText.nullable(),
});
export type ChosenAnswer = z.input<typeof chosenAnswerSchema>;
/** Answers to loose ends that are alike, given together, all or none. */
export const chosenAnswersSchema = z.strictObject({ answers: z.array(chosenAnswerSchema).min(1).max(200) });

const lane = z.array(
  z.object({
    from: instant,
    to: instant,
    title: z.string(),
    /** The number of the order that it is on first; `null` of an activity. */
    order: z.string().nullable(),
    isTorn: z.boolean(),
  }),
);

/** Loose ends are accepted as they are, with a reason, all or none. */
export const acceptSchema = z.strictObject({
  ends: z
    .array(
      looseEndKey.extend({
        technician: idText<'TechnicianId'>().nullable(),
        from: instantText.nullable(),
        day: dayText,
        about: z.string().max(200).nullable(),
      }),
    )
    .min(1)
    .max(100),
  reason: z.string().trim().min(1).max(200),
  /** The days within which they were seen: what is odd about badges depends on it. */
  seen: z.strictObject({ from: dayText, to: dayText }),
});
export type Acceptance = z.input<typeof acceptSchema>;
export const withdrawSchema = z.strictObject({ id: idText<'EntryId'>() });

/** What answers or an edit would do, before it is confirmed: the days of people that it is about, and the jobs that it
 *  touches, in the days shown and in all; costs only for whoever sees rates. */
export const effectSchema = z.object({
  lanes: z.array(z.object({ name: z.string(), day, before: lane, after: lane })),
  jobs: z.array(
    z.object({
      title: z.string(),
      beforeSeconds: z.number(),
      afterSeconds: z.number(),
      beforeCost: z.string(),
      afterCost: z.string(),
      costs: z.enum(['actual', 'standard']),
      /** What a task comes to in all, everybody's labor counted; `null` of an activity. */
      task: z
        .strictObject({
          before: comparisonSchema,
          after: comparisonSchema,
          hasEstimate: z.boolean(),
          used: usedSchema,
        })
        .nullable(),
    }),
  ),
  /** Loose ends of these people and the days around. */
  looseEndsBefore: z.number(),
  looseEndsAfter: z.number(),
});
export type EffectJson = DeepReadonly<z.output<typeof effectSchema>>;

/** The entries that an answer made, by which it is undone. */
export const answeredSchema = z.object({ entries: z.array(entryId) });
export const undoSchema = z.strictObject({ entries: z.array(idText<'EntryId'>()).min(1).max(1000) });

/** Loose ends of a stretch of days, newest first, with the names that their sentences need. */
export const looseEndsSchema = z.object({
  asOf: instant,
  fromDay: day,
  toDay: day,
  looseEnds: z.array(
    z.object({
      kind: z.enum(LOOSE_END_KINDS),
      day,
      technician: technicianId.nullable(),
      name: z.string().nullable(),
      target: z.string().nullable(),
      from: instant.nullable(),
      to: instant.nullable(),
      seconds: z.number().nullable(),
      targetId: targetId.nullable(),
      /** The text of a code, or whom a badge is a pair with, by id. */
      about: z.string().nullable(),
      /** Where it happened, if it comes from the floor. */
      stations: z.array(z.string()),
      /** How often it happened. */
      times: z.number(),
      /** What a station sent that could not be recorded, whole, and why not. */
      refused: z
        .strictObject({
          body: z.string(),
          errors: z.array(z.object({ field: z.string(), message: z.string() })),
        })
        .nullable(),
      /** Whether whoever asks may decide on it: whose people they are says so. */
      mayDecide: z.boolean(),
      /** A gap before the planned beginning or after the planned end. */
      isOutsidePlan: z.boolean(),
      /** What would likely put it right, the likeliest first. */
      answers: z.array(z.object({ reason: z.enum(ANSWER_REASONS), at: instant.nullable() })),
      /** When it ended, by the technician's own word; for the supervisor to decide. */
      proposed: instant.nullable(),
    }),
  ),
  /** Accepted as they are, newest first; one whose facts have changed is a loose end again and not here. */
  accepted: z.array(
    z.object({
      id: entryId,
      kind: z.enum(LOOSE_END_KINDS),
      day,
      name: z.string().nullable(),
      reason: z.string(),
      by: z.string(),
      at: instant,
    }),
  ),
});
/** Days on which somebody was known at a station by the name that was touched, or the number typed, and nothing more. */
export const namedDaysSchema = z.object({
  days: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      day,
      /** How many scans say so, and where. */
      times: z.number(),
      stations: z.array(z.string()),
    }),
  ),
});
export type LooseEndsJson = DeepReadonly<z.output<typeof looseEndsSchema>>;
