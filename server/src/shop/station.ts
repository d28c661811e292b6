import { defineEntity, p } from '@mikro-orm/core';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant } from '@wergon/core/time';
import type { ScannerProfile } from '@wergon/core/scan';
import type { StationSettings } from '@wergon/core/station';

/** A station; only hashes of its token and of its pairing code are kept. */
export const StationEntity = defineEntity({
  name: 'Station',
  tableName: 'station',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    /** Whose own phone it is; nobody's where it is a station of the shop. */
    owner: p.string().$type<TechnicianId>().nullable().unique(),
    tokenHash: p.string().nullable().unique(),
    pairedAt: p.integer().$type<Instant>().nullable(),
    pairingHash: p.string().nullable().unique(),
    pairingExpiresAt: p.integer().$type<Instant>().nullable(),
    isRevoked: p.boolean(),
    /** What was chosen other than the defaults. */
    settings: p.json<Partial<StationSettings>>().nullable(),
    /** By which this station knows foreign cards; made when it is paired. */
    cardKey: p.string().default(''),
    /** What a calibration taught of its scanner. */
    scanner: p.json<ScannerProfile>().nullable(),
    calibratedAt: p.integer().$type<Instant>().nullable(),
    /** When it last recorded something; to the minute. */
    lastScanAt: p.integer().$type<Instant>().nullable(),
  },
});
