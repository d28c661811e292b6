import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { ABSENCE_KINDS, MOST_LEAVE_DAYS } from '@wergon/core/people';
import { ANSWER_STATES, LEAVE_STANDINGS, REQUEST_KINDS } from '@wergon/core/station';
import {
  day,
  dayText,
  entryId,
  idText,
  instant,
  instantText,
  onceId,
  seconds,
  secondsUpTo,
  technicianId,
} from '../wire/index.ts';

const happened = { id: idText<'EntryId'>(), at: instantText };
const technician = idText<'TechnicianId'>();
const target = idText<'TargetId'>();
const figure = z.number().min(-1e9).max(1e9);

/** Time off that somebody asks for. */
const leaveAsked = z
  .strictObject({
    kind: z.enum(ABSENCE_KINDS),
    from: dayText,
    to: dayText,
    /** Of each day; left out or `null` for all that is planned of it. */
    seconds: secondsUpTo(86_400).nullable().optional(),
  })
  .refine(({ from, to }) => from <= to, { path: ['to'], message: 'must not be before the first day' })
  .refine(({ from, to }) => to - from < MOST_LEAVE_DAYS, {
    path: ['to'],
    message: 'is more than a year later',
  });

/** One entry of the floor stream as it crosses the wire: said at a station, of no effect on hours. */
export const floorEntrySchema = z.discriminatedUnion('type', [
  z.strictObject({
    ...happened,
    type: z.literal('unread-scan'),
    text: z.string().max(200),
    reason: z.string().max(60),
  }),
  z.strictObject({
    ...happened,
    type: z.literal('reading'),
    technician,
    target,
    label: z.string().max(60),
    unit: z.string().max(12),
    value: figure,
    least: figure.nullable(),
    most: figure.nullable(),
  }),
  z
    .strictObject({
      ...happened,
      type: z.literal('request'),
      technician,
      what: z.enum(REQUEST_KINDS),
      target: target.nullable(),
      text: z.string().max(500),
      quantity: z.int().min(1).max(100_000).nullable().default(null),
      why: z.string().max(500).default(''),
      leave: leaveAsked.nullable().optional(),
    })
    .refine(({ what, leave }) => what !== 'time-off' || leave != null, {
      path: ['leave'],
      message: 'is missing',
    }),
  z.strictObject({
    ...happened,
    type: z.literal('withdrawal'),
    technician,
    request: idText<'EntryId'>(),
  }),
  z.strictObject({
    ...happened,
    type: z.literal('proposal'),
    technician,
    about: idText<'EntryId'>(),
    kind: z.enum(['forgotten-stop', 'forgotten-shift-out']),
    ended: instantText,
  }),
  z.strictObject({ ...happened, type: z.literal('clock-jump'), seconds: z.int().min(-8e9).max(8e9) }),
]);
/** A floor entry that was read. */

/** What the desk answers to a request; it stands at the technician's next badge. */
export const answerSchema = z
  .strictObject({
    text: z.string().trim().max(300).default(''),
    /** Of a part, or of time off: how it stands. */
    state: z.enum(ANSWER_STATES).nullable().default(null),
    /** Whether time off that is granted is paid. */
    isPaid: z.boolean().default(true),
    once: onceId,
  })
  .refine(({ text, state }) => text !== '' || state !== null, { path: ['text'], message: 'is empty' });

/** Requests of the last days, newest first, and what was answered. */
export const requestsSchema = z.object({
  requests: z.array(
    z.object({
      id: entryId,
      at: instant,
      technician: technicianId,
      name: z.string(),
      what: z.enum(REQUEST_KINDS),
      /** The number and title of what it is about. */
      target: z.string().nullable(),
      text: z.string(),
      quantity: z.number().nullable(),
      why: z.string(),
      /** Of time off: when, how it stands, who else is away then, and what of it is worked or closed already. */
      leave: z
        .object({
          kind: z.enum(ABSENCE_KINDS),
          from: day,
          to: day,
          /** Of each day; `null` for all that is planned of it. */
          seconds: seconds.nullable(),
          standing: z.enum(LEAVE_STANDINGS),
          away: z.array(z.object({ name: z.string(), days: z.number() })),
          worked: z.array(day),
          closed: z.array(day),
          /** What is left of a year's hours of that kind, where the shop allows some, and what this would take of them. */
          balance: z.object({ left: z.number(), takes: seconds }).nullable(),
        })
        .nullable(),
      station: z.string(),
      answer: z
        .object({
          at: instant,
          by: z.string(),
          text: z.string(),
          state: z.enum(ANSWER_STATES).nullable(),
        })
        .nullable(),
    }),
  ),
});
export type RequestsJson = DeepReadonly<z.output<typeof requestsSchema>>;
