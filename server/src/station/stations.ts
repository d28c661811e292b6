import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import type { Instant } from '@wergon/core/time';
import { makeToken } from '../access/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { REVOKED, StationEntity } from '../shop/index.ts';
import type { StationContext } from './context.ts';
import { drawPairing, offerPairing } from './pairing.ts';
import { settingsOf } from './settings.ts';

const instantOrNull = (at: Instant | null | undefined) => at ?? null;
const nameTaken = () => refuse('record.taken', [{ field: 'name', message: 'a station of this name exists' }]);

/** Routes of the desk by which stations are set up, paired anew and taken away. */
export function mountStations(mount: Mount, context: StationContext): void {
  mountStationList(mount, context);
  mountStationPairing(mount, context);
}

function mountStationList(mount: Mount, { database, clock, live }: StationContext): void {
  mount('stations', async () => {
    const stations = await database.em.fork().findAll(StationEntity, { orderBy: { name: 1 } });
    return ok({
      stations: stations.map(
        ({ id, name, owner, settings, pairedAt, isRevoked, calibratedAt, lastScanAt }) => ({
          id,
          name,
          owner: owner ?? null,
          settings: settingsOf(settings),
          pairedAt: instantOrNull(pairedAt),
          isRevoked,
          calibratedAt: instantOrNull(calibratedAt),
          lastScanAt: instantOrNull(lastScanAt),
        }),
      ),
    });
  });

  mount('addStation', async ({ body: { name } }) => {
    const em = database.em.fork();
    if (await em.findOne(StationEntity, { name })) return nameTaken();
    const id = randomUUID();
    const { code, columns, expiresAt } = drawPairing(clock.now());
    await em.insert(StationEntity, {
      id,
      name,
      owner: null,
      tokenHash: null,
      pairedAt: null,
      ...columns,
      isRevoked: false,
      // A new station knows people by their badges alone; that codes may be typed there is somebody's choice.
      settings: { mayType: false },
      cardKey: makeToken(),
      scanner: null,
      calibratedAt: null,
      lastScanAt: null,
    });
    live.publishSetup();
    return ok({ id, code, expiresAt });
  });

  mount('saveStation', async ({ param, body: { name, settings } }) => {
    const em = database.em.fork();
    const other = await em.findOne(StationEntity, { name });
    if (other && other.id !== param('station')) return nameTaken();
    const found = await em.nativeUpdate(
      StationEntity,
      { id: param('station') },
      settings ? { name, settings } : { name },
    );
    live.publishSetup();
    return found > 0 ? ok(null) : refuse('record.not_found');
  });
}

function mountStationPairing(mount: Mount, { database, clock, live }: StationContext): void {
  mount('pairAgain', async ({ param }) => {
    const id = param('station');
    const offered = await offerPairing(database.em.fork(), id, clock.now());
    return offered
      ? ok({ id, code: offered.code, expiresAt: offered.expiresAt })
      : refuse('record.not_found');
  });

  mount('revokeStation', async ({ param }) => {
    const changed = await database.em.fork().nativeUpdate(StationEntity, { id: param('station') }, REVOKED);
    live.end(param('station'));
    live.publishSetup();
    return changed > 0 ? ok(null) : refuse('record.not_found');
  });
}
