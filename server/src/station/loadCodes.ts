import type { EntityManager } from '@mikro-orm/libsql';
import type { BoardJson } from '@wergon/contract/floor';
import { badgeKey, cardKey } from '@wergon/contract/station';
import type { Directory } from '@wergon/contract/station';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { WORK_TYPES } from '@wergon/core/work';
import { BadgeEntity, PersonLabelEntity } from '../people/index.ts';
import { ResourceEntity } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { TravelerCodeEntity } from '../work/index.ts';

type CodeRow = Directory['codes'][number];

/** What every code that a station can hear stands for. Badges go there as keys only: nobody who takes a station's
 *  device home can make a badge from what is on it. On a phone of one's own no badge is known but its owner's. */
export async function loadCodes(
  em: EntityManager,
  facts: ShopFacts,
  board: BoardJson,
  onBoard: ReadonlySet<TargetId>,
  stationKey: string,
  owner: TechnicianId | null,
): Promise<CodeRow[]> {
  const badges = await em.find(BadgeEntity, {
    revokedAt: null,
    ...(owner === null ? {} : { technician: owner }),
  });
  const owners = new Map(badges.map(({ id, technician }) => [id, technician]));
  const labels = await em.findAll(PersonLabelEntity);
  const resources = await em.find(ResourceEntity, { isOff: false });
  const printed = await em.find(TravelerCodeEntity, { task: { $in: [...onBoard] } });
  const versionOf = (task: TargetId) => {
    const order = facts.tasks.get(task)?.order;
    return (order && facts.orders.get(order)?.version) ?? 0;
  };
  return [
    ...badges.map(({ id, code, technician, isBound }): CodeRow => ({
      kind: 'badge',
      badge: id,
      code: isBound ? cardKey(stationKey, code) : badgeKey(code),
      technician,
    })),
    ...labels.flatMap(({ code, badge, action }): CodeRow[] => {
      const technician = owners.get(badge);
      // A label that stands for a badge is worth nothing once the badge is revoked.
      return technician ? [{ kind: 'person-act', badge, code: badgeKey(code), technician, action }] : [];
    }),
    ...[...onBoard].flatMap((id): CodeRow[] => {
      const code = facts.tasks.get(id)?.code;
      return code === undefined ? [] : [{ kind: 'target', target: id, code }];
    }),
    ...printed.map(({ code, task, workType, version }): CodeRow => {
      const named = WORK_TYPES.find((each) => each === workType);
      const isOld = version < versionOf(task);
      return { kind: 'traveler', target: task, code, isOld, ...(named ? { workType: named } : {}) };
    }),
    ...[...facts.activities.values()].flatMap(({ id, code, isOff }): CodeRow[] =>
      isOff ? [] : [{ kind: 'target', target: id, code }],
    ),
    ...resources.map(({ id, code }): CodeRow => ({ kind: 'resource', resource: id, code })),
    ...board.orders.map(({ id }): CodeRow => ({
      kind: 'order',
      order: id,
      code: facts.orders.get(id)?.code ?? '',
    })),
  ];
}
