import { normalizeForeign } from '@wergon/core/scan';
import { ok } from '@wergon/core/result';
import type { StationContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { BadgeEntity } from '../people/index.ts';
import { serves } from './phones.ts';

/** Somebody shows at a station that they have the badge of a technician. What a station's page says of it is not enough: it
 *  knows only keys of badges, and anybody's. */
export function mountProveSelf(mount: Mount, { database, proofs }: StationContext): void {
  mount('proveSelf', async ({ body: { technician, code }, who }) => {
    const { station } = who;
    // Whoever holds a phone that is a technician's own holds what that technician got with their badge.
    if (station.owner === technician) return ok({ proof: proofs.give(station.id, technician) });
    if (!serves(station, technician)) return refuse('access.wrong_badge');
    const own = await database.em.fork().find(BadgeEntity, { technician, revokedAt: null });
    const isHis = own.some((badge) => {
      const read = badge.isBound ? normalizeForeign(code) : code.trim().toUpperCase();
      return badge.code === read;
    });
    return isHis ? ok({ proof: proofs.give(station.id, technician) }) : refuse('access.wrong_badge');
  });
}
