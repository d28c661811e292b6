import { ok } from '@wergon/core/result';
import type { Mount } from '../http/index.ts';
import { readBatch, writeOutcome } from '../ledger/index.ts';
import { StationEntity } from '../shop/index.ts';
import type { StationContext } from './context.ts';

/** How long a station's last use is not written down anew. */
const SEEN_SECONDS = 60;

/** The route by which stations record, and the one by which their scanners are calibrated. */
export function mountEntries(mount: Mount, { database, clock, journal, live }: StationContext): void {
  mount('stationEntries', async ({ body, who }) => {
    const { station } = who;
    const { outcomes, seq } = await journal.append(
      { kind: 'station', id: station.id },
      readBatch(body.entries),
    );
    await rememberScan(station.id);
    return ok({ results: outcomes.map(writeOutcome), seq });
  });

  /** Writes down that a station is in use, at most once a minute. */
  const seenAt = new Map<string, number>();
  async function rememberScan(id: string): Promise<void> {
    const now = clock.now();
    if (now - (seenAt.get(id) ?? 0) < SEEN_SECONDS) return;
    seenAt.set(id, now);
    await database.em.fork().nativeUpdate(StationEntity, { id }, { lastScanAt: now });
  }

  mount('calibrate', async ({ body, who }) => {
    const { station } = who;
    const columns = { scanner: body, calibratedAt: clock.now() };
    await database.em.fork().nativeUpdate(StationEntity, { id: station.id }, columns);
    live.publishSetup();
    return ok(null);
  });
}
