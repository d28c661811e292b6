import type { EntityManager } from '@mikro-orm/libsql';
import { toInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { NoticeEntity, ResourceEntity, StationEntity } from '@wergon/server/shop';
import { STATIONS } from './sampleShop.ts';

export const stationId = (name: string) => `s-${name.toLowerCase().replace(/\W+/g, '-')}`;

const NOTICES = [
  { text: 'Stocktaking on Saturday: count the copper rack before Friday noon.', hoursAgo: 29 },
  { text: 'The small crane is back from its test.', hoursAgo: 6 },
];

/** The shop's stations: one at each work center, one at the gate where people only sign in and out, and one that
 *  is hardly used. */
export async function enterStations(em: EntityManager, firstDay: LocalDay, opensAt: Instant): Promise<void> {
  const centers = new Map(
    (await em.find(ResourceEntity, { kind: 'work-center' })).map(({ id, name }) => [name, id]),
  );
  const at = Object.entries(STATIONS).flatMap(([workCenter, names]) =>
    names.map((name) => ({
      name,
      settings: {
        workCenters: [centers.get(workCenter) ?? ''],
        mayOverride: true,
        takesNumbers: workCenter === 'Stripping and burn-out',
      },
    })),
  );
  const stations = [
    ...at,
    { name: 'Gate', settings: { kind: 'presence' as const } },
    {
      name: 'Loading dock',
      settings: { identity: 'names' as const, language: 'de' as const, goesOut: true },
    },
  ];
  for (const { name, settings } of stations)
    await em.insert(StationEntity, {
      id: stationId(name),
      name,
      tokenHash: null,
      pairedAt: toInstant(firstDay * 86_400),
      pairingHash: null,
      pairingExpiresAt: null,
      isRevoked: false,
      settings,
      cardKey: '',
      scanner: null,
      calibratedAt: null,
      lastScanAt: at.some((each) => each.name === name)
        ? toInstant(opensAt - 240)
        : toInstant(opensAt - 37 * 60),
    });
  for (const [i, { text, hoursAgo }] of NOTICES.entries())
    await em.insert(NoticeEntity, {
      id: `notice-${i + 1}`,
      at: toInstant(opensAt - hoursAgo * 3600),
      by: 'Mikko Rask',
      text,
      untilDay: null,
    });
}
