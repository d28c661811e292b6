import { defineEntity, p } from '@mikro-orm/core';
import type { TechnicianId } from '@wergon/core/people';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Live } from '../http/index.ts';
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

/** What takes a device its place as a station, and whatever could make it one again. */
export const REVOKED = { isRevoked: true, tokenHash: null, pairingHash: null, pairingExpiresAt: null };

/** Takes everybody the phone of their own: the shop uses them no more. */
export async function takePhones(em: EntityManager, live: Pick<Live, 'end'>): Promise<void> {
  const phones = await em.find(StationEntity, { owner: { $ne: null }, isRevoked: false });
  await em.nativeUpdate(StationEntity, { id: { $in: phones.map(({ id }) => id) } }, REVOKED);
  for (const { id } of phones) live.end(id);
}
