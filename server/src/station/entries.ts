import { ok } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import type { Mount } from '../http/index.ts';
import { readBatch, writeOutcome } from '../ledger/index.ts';
import type { Incoming } from '../ledger/index.ts';
import { StationEntity } from '../shop/index.ts';
import type { StationContext } from './context.ts';

/** How long a station's last use is not written down anew. */
const SEEN_SECONDS = 60;

/** On a phone of one's own nobody says anything of others: that is set aside, and the rest goes on. */
const ofOwner = (entries: readonly Incoming[], owner: TechnicianId): readonly Incoming[] =>
  entries.map((incoming) => {
    const whose =
      incoming.kind !== 'unreadable' && 'technician' in incoming.entry ? incoming.entry.technician : owner;
    if (whose === owner) return incoming;
    const errors = [{ field: 'technician', message: 'this is the phone of somebody else' }];
    return { kind: 'unreadable', id: incoming.id, body: incoming.body, errors };
  });

/** The route by which stations record, and the one by which their scanners are calibrated. */
export function mountEntries(mount: Mount, { database, clock, journal, live }: StationContext): void {
  mount('stationEntries', async ({ body, who }) => {
    const { station } = who;
    const { outcomes, seq } = await journal.append(
      { kind: 'station', id: station.id },
      station.owner === null ? readBatch(body.entries) : ofOwner(readBatch(body.entries), station.owner),
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
