import { ok } from '@wergon/core/result';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { BadgeEntity } from '../people/index.ts';
import type { StationContext } from './context.ts';
import { mountDirectory } from './directory.ts';
import { mountEntries } from './entries.ts';
import { mountPairing } from './pairing.ts';
import { mountPapers } from './papers.ts';
import { mountPhones } from './phones.ts';
import { mountPins } from './pins.ts';
import { mountWriteDown } from './writeDown.ts';
import { mountProveSelf } from './proveSelf.ts';
import { mountStations } from './stations.ts';

/** Routes of stations: their setting up at the desk, and all that they ask and say. */
export function mountStation(mount: Mount, context: StationContext): void {
  mountStations(mount, context);
  mountPairing(mount, context);
  mountDirectory(mount, context);
  mountProveSelf(mount, context);
  mountPins(mount, context);
  mountPhones(mount, context);
  mountPapers(mount, context);
  mountWriteDown(mount, context);
  mountEntries(mount, context);
  mountBench(mount, context);
}

/** The badges of the sample shop, for whoever tries it out without a scanner. */
function mountBench(mount: Mount, { database, facts, isDemo }: StationContext): void {
  mount('bench', async () => {
    if (!isDemo) return refuse('route.not_found');
    const known = await facts.get();
    const badges = await database.em.fork().find(BadgeEntity, { revokedAt: null });
    return ok({
      badges: badges.map(({ code, technician }) => ({
        code,
        name: known.technicians.get(technician)?.name ?? '',
      })),
    });
  });
}
