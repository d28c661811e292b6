import { keysOf } from '@wergon/core/result';
import type { ResourceId } from '@wergon/core/station';
import { newId } from '../db/index.ts';
import type { EntityManager } from '@mikro-orm/libsql';
import type { ListName } from '@wergon/contract/shop';
import { drawRandomCode } from '../scan/index.ts';
import type { CodeDrawer } from '../scan/index.ts';
import { CustomerEntity, ListItemEntity, ResourceEntity } from './entities.ts';

/** Everything that is kept once in a list and stands by its name wherever it is used. */
export type ListKind = ListName | 'work-center' | 'customer';

/** Makes sure that names somebody has used stand in the shop's lists. */
export async function ensureListItems(
  em: EntityManager,
  names: Partial<Record<ListKind, readonly string[]>>,
  drawCode: CodeDrawer = drawRandomCode,
): Promise<void> {
  for (const kind of keysOf(names)) {
    const wanted = [...new Set(names[kind])].filter((name) => name !== '');
    const known = new Set(await namesOf(em, kind));
    for (const name of wanted) if (!known.has(name)) await addLabel(em, kind, name, drawCode);
  }
}

async function namesOf(em: EntityManager, kind: ListKind): Promise<string[]> {
  const rows =
    kind === 'customer'
      ? await em.findAll(CustomerEntity)
      : kind === 'work-center'
        ? await em.find(ResourceEntity, { kind })
        : await em.find(ListItemEntity, { list: kind });
  return rows.map(({ name }) => name);
}

async function addLabel(em: EntityManager, kind: ListKind, name: string, drawCode: CodeDrawer) {
  const item = { id: newId<ResourceId>(), name, isOff: false };
  if (kind === 'customer') await em.insert(CustomerEntity, { ...item, note: '', charge: null });
  else if (kind === 'work-center')
    await em.insert(ResourceEntity, { ...item, kind, workCenter: '', code: drawCode('resource') });
  else await em.insert(ListItemEntity, { ...item, list: kind });
}
