import { defineEntity, p } from '@mikro-orm/core';
import type { ScannerProfile } from '@wergon/core/scan';

/** A station; only hashes of its token and of its pairing code are kept. */
export const StationEntity = defineEntity({
  name: 'Station',
  tableName: 'station',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    tokenHash: p.string().nullable().unique(),
    pairedAt: p.integer().nullable(),
    pairingHash: p.string().nullable().unique(),
    pairingExpiresAt: p.integer().nullable(),
    isRevoked: p.boolean(),
    /** What a calibration taught of its scanner. */
    scanner: p.json<ScannerProfile>().nullable(),
    calibratedAt: p.integer().nullable(),
    /** When it last recorded something; to the minute. */
    lastScanAt: p.integer().nullable(),
  },
});
