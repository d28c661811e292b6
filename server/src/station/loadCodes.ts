import type { EntityManager } from '@mikro-orm/libsql';
import type { BoardJson } from '@wergon/contract/floor';
import { badgeKey, cardKey } from '@wergon/contract/station';
import type { DirectoryJson } from '@wergon/contract/station';
import type { TargetId } from '@wergon/core/ledger';
import type { Action } from '@wergon/core/scan';
import { WORK_TYPES } from '@wergon/core/work';
import { BadgeEntity, PersonLabelEntity } from '../people/index.ts';
import { ResourceEntity } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { TravelerCodeEntity } from '../work/index.ts';

type CodeRow = DirectoryJson['codes'][number];

/** What every code that a station can hear stands for. Badges go there as keys only: nobody who takes a station's
 *  device home can make a badge from what is on it. */
export async function loadCodes(
  em: EntityManager,
  facts: ShopFacts,
  board: BoardJson,
  onBoard: ReadonlySet<string>,
  stationKey: string,
): Promise<CodeRow[]> {
  const badges = await em.find(BadgeEntity, { revokedAt: null });
  const owners = new Map(badges.map(({ id, technician }) => [id, technician]));
  const labels = await em.findAll(PersonLabelEntity);
  const resources = await em.find(ResourceEntity, { isOff: false });
  const printed = await em.find(TravelerCodeEntity, { task: { $in: [...onBoard] } });
  const versionOf = (task: string) => {
    const order = facts.tasks.get(task as TargetId)?.order ?? '';
    return facts.orders.get(order)?.version ?? 0;
  };
  return [
    ...badges.map(({ id, code, technician, isBound }): CodeRow => ({
      kind: 'badge',
      id,
      code: isBound ? cardKey(stationKey, code) : badgeKey(code),
      technician,
    })),
    ...labels.flatMap(({ code, badge, action }): CodeRow[] => {
      const technician = owners.get(badge);
      // A label that stands for a badge is worth nothing once the badge is revoked.
      return technician
        ? [{ kind: 'person-act', id: badge, code: badgeKey(code), technician, action: action as Action }]
        : [];
    }),
    ...[...onBoard].flatMap((id): CodeRow[] => {
      const code = facts.tasks.get(id as TargetId)?.code;
      return code === undefined ? [] : [{ kind: 'target', id, code }];
    }),
    ...printed.map(({ code, task, workType, version }): CodeRow => {
      const named = WORK_TYPES.find((each) => each === workType);
      const isOld = version < versionOf(task);
      return { kind: 'traveler', id: task, code, isOld, ...(named ? { workType: named } : {}) };
    }),
    ...[...facts.activities.values()].flatMap(({ id, code, isOff }): CodeRow[] =>
      isOff ? [] : [{ kind: 'target', id, code }],
    ),
    ...resources.map(({ id, code }): CodeRow => ({ kind: 'resource', id, code })),
    ...board.orders.map(({ id }): CodeRow => ({ kind: 'order', id, code: facts.orders.get(id)?.code ?? '' })),
  ];
}
