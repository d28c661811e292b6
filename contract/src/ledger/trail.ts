import { z } from 'zod';
import { KNOWN_BY } from './scan.ts';
import { dayText, idText, instant } from '../wire/index.ts';

/** Which entries of the journal are asked for; newest first, before a place in the order of recording. */
export const trailQuery = z.strictObject({
  from: dayText.exactOptional(),
  to: dayText.exactOptional(),
  technician: idText<'TechnicianId'>().exactOptional(),
  stream: z.enum(['labor', 'floor', 'decision']).exactOptional(),
  type: z.string().max(40).exactOptional(),
  /** Only what corrects something, and what was added at the desk. */
  corrections: z.literal('only').exactOptional(),
  before: z.coerce.number().int().min(1).exactOptional(),
});

export const trailSchema = z.object({
  entries: z.array(
    z.object({
      seq: z.number(),
      id: z.string(),
      stream: z.string(),
      type: z.string(),
      at: z.string().nullable(),
      recordedAt: instant,
      author: z.string(),
      source: z.string(),
      knownBy: z.enum(KNOWN_BY).nullable(),
      letThroughBy: z.string().nullable(),
      name: z.string().nullable(),
      about: z.string(),
      /** The machine that it was on, by its name. */
      machine: z.string().nullable(),
      /** What a correction is of: its type, and its instant or day. */
      of: z.object({ type: z.string(), at: z.string().nullable() }).nullable(),
      why: z.string().nullable(),
      changes: z.array(z.object({ field: z.string(), before: z.string(), after: z.string() })),
      hash: z.string(),
    }),
  ),
  /** Where the next page begins; `null` at the beginning of the journal. */
  next: z.number().nullable(),
});
export type TrailJson = z.output<typeof trailSchema>;

/** A part of the chain is walked from an entry and its hash on; from nothing at the beginning. */
export const verifySchema = z.strictObject({ after: z.int().min(0), hash: z.string().max(64) });
export const verifiedSchema = z.object({
  count: z.number(),
  hash: z.string(),
  total: z.number(),
  /** The first entry that does not fit, if one was met. */
  broken: z.number().nullable(),
});
