import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { ok } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import type { StationSettings } from '@wergon/core/station';
import { makeToken } from '../access/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { CallingStation, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { StationEntity, settingsOf } from '../shop/index.ts';
import type { StationContext } from './context.ts';
import { drawPairing } from './pairing.ts';

/** How long the code that makes a phone one's own is good for, in seconds: it is shown where others pass by. */
const OFFER_SECONDS = 5 * 60;

/** Whether somebody can be known at a station: anybody at one of the shop, its owner at a phone of their own. */
export const serves = ({ owner }: CallingStation, technician: TechnicianId): boolean =>
  owner === null || owner === technician;

/** A phone of one's own: whoever has shown their badge at a station of the shop gets a code, and the phone into which they
 *  put it is a station for them alone. Nobody has two: the next one takes the place of the one before. */
export function mountPhones(mount: Mount, { database, clock, facts, live, proofs }: StationContext): void {
  mount('offerPhone', async ({ body: { technician, proof }, who: { station } }) => {
    const known = await facts.get();
    const person = known.technicians.get(technician);
    if (!person) return refuse('input.invalid', [{ field: 'technician', message: 'no such technician' }]);
    if (!settingsOf(known.shop).work.ownPhones) return refuse('station.no_phones');
    // A phone makes no phones: who has lost one could not stop its finder.
    if (station.owner !== null || !proofs.holds(proof, station.id, technician))
      return refuse('access.wrong_badge');
    const em = database.em.fork();
    const { code, expiresAt, columns } = drawPairing(clock.now(), OFFER_SECONDS);
    const before = await em.findOne(StationEntity, { owner: technician });
    const id = before?.id ?? randomUUID();
    if (before) await em.nativeUpdate(StationEntity, { id }, columns);
    else await em.insert(StationEntity, { id, ...(await blankPhone(em, known, technician)), ...columns });
    live.publishSetup();
    return ok({ id, code, expiresAt });
  });
}

async function blankPhone(em: EntityManager, known: ShopFacts, owner: TechnicianId) {
  const { name = '', number = '', language } = known.technicians.get(owner) ?? {};
  const isTaken = await em.findOne(StationEntity, { name: `${name} ☎` });
  const settings: Partial<StationSettings> = {
    identity: 'names',
    goesOut: true,
    clearAfterBadge: 600,
    ...(language ? { language } : {}),
  };
  return {
    name: isTaken ? `${name} ${number} ☎` : `${name} ☎`,
    owner,
    tokenHash: null,
    pairedAt: null,
    isRevoked: false,
    settings,
    cardKey: makeToken(),
    scanner: null,
    calibratedAt: null,
    lastScanAt: null,
  };
}
