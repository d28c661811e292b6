import { z } from 'zod';
import { REQUEST_KINDS } from '@wergon/core/station';
import { idText, instantText, onceId } from '../wire/index.ts';

const happened = { id: idText<'EntryId'>(), at: instantText };
const technician = idText<'TechnicianId'>();
const target = idText<'TargetId'>();
const figure = z.number().min(-1e9).max(1e9);

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
  z.strictObject({
    ...happened,
    type: z.literal('request'),
    technician,
    what: z.enum(REQUEST_KINDS),
    target: target.nullable(),
    text: z.string().max(500),
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
export const answerSchema = z.strictObject({ text: z.string().trim().min(1).max(300), once: onceId });

/** Requests of the last days, newest first, and what was answered. */
export const requestsSchema = z.strictObject({
  requests: z.array(
    z.strictObject({
      id: z.string(),
      at: z.string(),
      technician: z.string(),
      name: z.string(),
      what: z.enum(REQUEST_KINDS),
      target: z.string().nullable(),
      text: z.string(),
      station: z.string(),
      answer: z.strictObject({ at: z.string(), by: z.string(), text: z.string() }).nullable(),
    }),
  ),
});
export type RequestsJson = z.output<typeof requestsSchema>;
