import { z } from 'zod';
import { instantText, idText } from '../wire/index.ts';
import { boardSchema } from '../floor/index.ts';

const shortName = z.string().trim().min(1).max(60);

export const newStationSchema = z.strictObject({ name: shortName });

export const stationsSchema = z.strictObject({
  stations: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      pairedAt: z.string().nullable(),
      isRevoked: z.boolean(),
    }),
  ),
});

/** A code that pairs one device with one station, once, for a few minutes. */
export const pairingSchema = z.strictObject({ id: z.string(), code: z.string(), expiresAt: z.string() });
export const pairSchema = z.strictObject({ code: z.string().trim().min(1).max(20) });

/** The board with what each code on a label stands for. */
export const directorySchema = boardSchema.extend({
  station: z.strictObject({ id: z.string(), name: z.string() }),
  codes: z.array(
    z.strictObject({
      code: z.string(),
      kind: z.enum(['badge', 'target', 'order']),
      id: z.string(),
      technician: z.string().exactOptional(),
    }),
  ),
  isDemo: z.boolean(),
  now: z.number(),
});
export type DirectoryJson = z.output<typeof directorySchema>;

/** What stands around an entry that a station sends. */
const envelope = {
  source: z.enum(['scan', 'touch', 'typed', 'desk']),
  via: z.array(z.string().max(64)).max(10).default([]),
  action: idText<'ActionId'>(),
  /** What the device's own clock said, and how many seconds were added to it. */
  deviceAt: instantText,
  clockOffset: z.int(),
};

/** One line of a batch: the entry is read on its own, so that one that cannot be read does not hold up the rest. */
export const sentEntrySchema = z.strictObject({ ...envelope, entry: z.unknown() });

export const batchSchema = z.strictObject({ entries: z.array(z.unknown()).min(1).max(500) });

/** A scan that meant nothing, kept in the floor stream for the supervisor to see. */
export const unreadScanSchema = z.strictObject({
  id: idText<'EntryId'>(),
  type: z.literal('unread-scan'),
  at: instantText,
  text: z.string().max(200),
  reason: z.string().max(60),
});

export const problemSchema = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string().exactOptional(),
  errors: z.array(z.strictObject({ field: z.string(), message: z.string() })).exactOptional(),
});
export type Problem = z.output<typeof problemSchema>;

export const batchResultSchema = z.strictObject({
  results: z.array(
    z.strictObject({
      id: z.string().nullable(),
      result: z.enum(['recorded', 'known', 'refused']),
      seq: z.number().exactOptional(),
      problem: problemSchema.exactOptional(),
    }),
  ),
  seq: z.number(),
  now: z.number(),
});
export type BatchResult = z.output<typeof batchResultSchema>;

/** One entry on its way from the station's outbox. */
export type SentEntry = z.input<typeof sentEntrySchema>;
