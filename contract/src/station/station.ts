import { WAYS_KNOWN } from '@wergon/core/station';
import { z } from 'zod';
import { idText, instant, instantText, problemSchema, technicianId } from '../wire/index.ts';
import { stationSettingsSchema } from './settings.ts';

const shortName = z.string().trim().min(1).max(60);

export const newStationSchema = z.strictObject({ name: shortName });
export const saveStationSchema = z.strictObject({
  name: shortName,
  settings: stationSettingsSchema.exactOptional(),
});

/** What a calibration taught of a station's scanner. */
export const scannerProfileSchema = z.strictObject({
  endKey: z.enum(['Enter', 'Tab']).nullable(),
  prefix: z.string().max(20),
  suffix: z.string().max(20),
  meant: z.record(z.string().min(1).max(2), z.string().length(1)),
});

export const stationsSchema = z.object({
  stations: z.array(
    z.object({
      id: z.string(),
      /** Whose own phone it is; nobody's where it is a station of the shop. */
      owner: technicianId.nullable(),
      name: z.string(),
      settings: stationSettingsSchema,
      pairedAt: instant.nullable(),
      isRevoked: z.boolean(),
      /** When its scanner was last calibrated, and when it last recorded a scan. */
      calibratedAt: instant.nullable(),
      lastScanAt: instant.nullable(),
    }),
  ),
});

/** A code that pairs one device with one station, once, for a few minutes. */
export const pairingSchema = z.object({ id: z.string(), code: z.string(), expiresAt: instant });
/** The station that a device has become. */
export const pairedSchema = z.object({ id: z.string(), name: z.string() });
export const pairSchema = z.strictObject({ code: z.string().trim().min(1).max(20) });

/** Seconds by which a device's clock can be off: a clock that was never set stands in 1970. */
const MOST_OFFSET = 8e9;

/** What stands around an entry that a station sends. */
const envelope = {
  source: z.enum(['scan', 'touch', 'typed', 'camera', 'desk']),
  via: z.array(z.string().max(64)).max(10).default([]),
  action: idText<'ActionId'>(),
  /** What the device's own clock said, and how many seconds were added to it. */
  deviceAt: instantText,
  clockOffset: z.int().min(-MOST_OFFSET).max(MOST_OFFSET),
  /** How the person was known; absent where nobody had to be. */
  identity: z.enum(WAYS_KNOWN).exactOptional(),
};

/** One line of a batch: the entry is read on its own, so that one that cannot be read does not hold up the rest. */
export const sentEntrySchema = z.strictObject({ ...envelope, entry: z.unknown() });

export const batchSchema = z.strictObject({ entries: z.array(z.unknown()).min(1).max(500) });

export const batchResultSchema = z.object({
  results: z.array(
    z.object({
      id: z.string().nullable(),
      result: z.enum(['recorded', 'known', 'refused']),
      seq: z.number().exactOptional(),
      problem: problemSchema.exactOptional(),
    }),
  ),
  seq: z.number(),
});
export type BatchResult = z.output<typeof batchResultSchema>;

/** One entry on its way from the station's outbox. */
export type SentEntry = z.input<typeof sentEntrySchema>;
