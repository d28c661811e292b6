import { z } from 'zod';
import { LOOSE_END_KINDS } from '@wergon/core/ledger';

/** Loose ends of a stretch of days, with the names that their sentences need. */
export const looseEndsSchema = z.strictObject({
  asOf: z.string(),
  fromDay: z.string(),
  toDay: z.string(),
  looseEnds: z.array(
    z.strictObject({
      kind: z.enum(LOOSE_END_KINDS),
      day: z.string(),
      technician: z.string().nullable(),
      name: z.string().nullable(),
      target: z.string().nullable(),
      from: z.string().nullable(),
      to: z.string().nullable(),
      seconds: z.number().nullable(),
      /** When it ended, by the technician's own word; for the supervisor to decide. */
      proposed: z.string().nullable(),
    }),
  ),
  /** Odd things about badges, which prove nothing. */
  hints: z.array(
    z.strictObject({
      kind: z.enum(['badge-hop', 'badge-pair']),
      at: z.string(),
      names: z.array(z.string()),
      stations: z.array(z.string()),
      /** Seconds between the two stations, or times that both were read together. */
      count: z.number(),
    }),
  ),
  /** Entries that could not be recorded, whole, newest first. */
  refused: z.array(
    z.strictObject({
      receivedAt: z.string(),
      station: z.string(),
      body: z.string(),
      errors: z.array(z.strictObject({ field: z.string(), message: z.string() })),
    }),
  ),
  /** Scans that meant nothing, newest first. */
  unread: z.array(
    z.strictObject({ at: z.string(), station: z.string(), text: z.string(), reason: z.string() }),
  ),
});
export type LooseEndsJson = z.output<typeof looseEndsSchema>;
