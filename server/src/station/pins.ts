import { ok } from '@wergon/core/result';
import type { StationContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { TechnicianEntity, createPinCheck, hashPin } from '../people/index.ts';
import { serves } from './phones.ts';

/** Routes of PINs at a station: one that is right speaks for its owner there, and may be changed by them. */
export function mountPins(mount: Mount, { database, clock, proofs, setupChanged }: StationContext): void {
  const checkPin = createPinCheck(clock);
  mount('checkPin', async ({ body, who }) => {
    const station = who.station.id;
    if (!serves(who.station, body.technician)) return refuse('access.wrong_pin');
    const technician = await database.em.fork().findOne(TechnicianEntity, { id: body.technician });
    const answer = await checkPin(station, body.technician, technician?.pinHash ?? null, body.pin);
    if (answer === 'right') return ok({ proof: proofs.give(station, body.technician) });
    return refuse(answer === 'wait' ? 'access.too_many_tries' : 'access.wrong_pin');
  });

  mount('changePin', async ({ body, who }) => {
    const station = who.station.id;
    if (!serves(who.station, body.technician)) return refuse('access.wrong_pin');
    const technician = await database.em.fork().findOne(TechnicianEntity, { id: body.technician });
    const answer = await checkPin(station, body.technician, technician?.pinHash ?? null, body.pin);
    if (answer !== 'right') return refuse(answer === 'wait' ? 'access.too_many_tries' : 'access.wrong_pin');
    const pinHash = await hashPin(body.newPin);
    await database.em.fork().nativeUpdate(TechnicianEntity, { id: body.technician }, { pinHash });
    setupChanged('shop');
    return ok(null);
  });
}
