import { Defect } from '@wergon/core/result';
import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { UserEntity } from '@wergon/server/access';
import type { Context } from '@wergon/server/app';
import { readBatch } from '@wergon/server/ledger';
import { stationId } from './enterStations.ts';

/** A user of the sample shop as the author of what the desk does. Throws `Defect` where there is none of that name. */
export async function deskAs({ database }: Context, userName: string) {
  const user = await database.em.fork().findOne(UserEntity, { userName });
  if (!user) throw new Defect(`no sample user ${userName}`);
  return { kind: 'desk' as const, id: user.id, name: user.name };
}

type Author = { readonly kind: 'station' | 'desk'; readonly id: string };

/** A station of the sample shop as the author of entries. */
export const stationAs = (name: string): Author => ({ kind: 'station', id: stationId(name) });

/** Records entries as a station or the desk of the sample shop sends them. Throws `Defect` when one is refused that should not be. */
export async function recordAt(
  { journal }: Context,
  { kind, id }: Author,
  entries: readonly Record<string, unknown>[],
  deviceAt: Instant,
  {
    isRefused = false,
    isByBadge = false,
  }: { readonly isRefused?: boolean; readonly isByBadge?: boolean } = {},
): Promise<void> {
  const lines = entries.map((entry) => ({
    source: kind === 'desk' ? 'desk' : 'scan',
    via: isByBadge ? [`badge-${String(entry['technician'])}`] : [],
    ...(isByBadge ? { identity: 'badge' } : {}),
    action: String(entry['id']),
    deviceAt: formatInstant(deviceAt),
    clockOffset: 0,
    entry,
  }));
  const { outcomes } = await journal.append({ kind, id }, readBatch(lines));
  const bad = outcomes.find(({ result }) => (result === 'refused') !== isRefused);
  if (bad) throw new Defect(`sample entry: ${JSON.stringify(bad)}`);
}
