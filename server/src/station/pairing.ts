import { toInstant } from '@wergon/core/time';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Instant } from '@wergon/core/time';
import { hashToken } from '../access/index.ts';
import { drawPairingCode } from '../scan/index.ts';
import { StationEntity } from '../shop/index.ts';

const PAIRING_SECONDS = 10 * 60;

/** A fresh pairing code, and the columns that let it pair a station once until it expires. */
export function drawPairing(now: Instant, seconds = PAIRING_SECONDS) {
  const code = drawPairingCode();
  const expiresAt = toInstant(now + seconds);
  return { code, expiresAt, columns: { pairingHash: hashToken(code), pairingExpiresAt: expiresAt } };
}

/** Lets a station be paired anew; absent when there is no such station. */
export async function offerPairing(em: EntityManager, id: string, now: Instant, seconds?: number) {
  const { code, expiresAt, columns } = drawPairing(now, seconds);
  const changed = await em.nativeUpdate(StationEntity, { id }, columns);
  return changed > 0 ? { code, expiresAt } : undefined;
}
