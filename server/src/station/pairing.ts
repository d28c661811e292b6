import { toInstant } from '@wergon/core/time';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Instant } from '@wergon/core/time';
import { ok } from '@wergon/core/result';
import { COOKIES, giveCookie, hashToken, makeToken } from '../access/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { StationContext } from './context.ts';
import { drawPairingCode } from '../scan/index.ts';
import { StationEntity } from '../shop/index.ts';

const PAIRING_SECONDS = 10 * 60;
/** So long a device that was paired is this station. */
const TOKEN_SECONDS = 10 * 365 * 86_400;

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

/** The route by which a device becomes a station. */
export function mountPairing(mount: Mount, { database, clock, live, isDemo }: StationContext): void {
  mount('pair', async ({ body, req, res }) => {
    const em = database.em.fork();
    const pairingHash = hashToken(body.code.toUpperCase());
    const station = await em.findOne(StationEntity, { pairingHash });
    if (!station || (station.pairingExpiresAt ?? 0) < clock.now())
      return refuse('station.bad_pairing_code', [
        { field: 'code', message: 'this code is not valid, or not any more' },
      ]);
    const token = makeToken();
    await em.nativeUpdate(
      StationEntity,
      { id: station.id },
      {
        tokenHash: hashToken(token),
        pairedAt: clock.now(),
        // The demo prints its link once, and whoever tries it out opens it more than once.
        ...(isDemo ? {} : { pairingHash: null, pairingExpiresAt: null }),
        isRevoked: false,
      },
    );
    giveCookie(req, res, COOKIES.station, token, TOKEN_SECONDS);
    live.publishSetup();
    return ok({ id: station.id, name: station.name });
  });
}
