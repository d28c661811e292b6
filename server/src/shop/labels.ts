import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import type { ListName } from '@wergon/contract/shop';
import { TechnicianEntity } from '../people/entities.ts';
import { drawRandomCode } from '../station/drawCode.ts';
import type { CodeDrawer } from '../station/drawCode.ts';
import { OrderEntity, StandardEntity, TaskEntity } from '../work/entities.ts';
import { ActivityEntity, CustomerEntity, ListItemEntity, ResourceEntity, UnitEntity } from './entities.ts';

/** Everything that is kept once in a list and stands by its name wherever it is used. */
export type LabelKind = ListName | 'work-center' | 'customer';

/** Makes sure that names somebody has used stand in the shop's lists. */
export async function ensureLabels(
  em: EntityManager,
  names: Partial<Record<LabelKind, readonly string[]>>,
  drawCode: CodeDrawer = drawRandomCode,
): Promise<void> {
  for (const kind of Object.keys(names) as LabelKind[]) {
    const wanted = [...new Set(names[kind])].filter((name) => name !== '');
    const known = new Set(await namesOf(em, kind));
    for (const name of wanted) if (!known.has(name)) await addLabel(em, kind, name, drawCode);
  }
}

async function namesOf(em: EntityManager, kind: LabelKind): Promise<string[]> {
  const rows =
    kind === 'customer'
      ? await em.findAll(CustomerEntity)
      : kind === 'work-center'
        ? await em.find(ResourceEntity, { kind })
        : await em.find(ListItemEntity, { list: kind });
  return rows.map(({ name }) => name);
}

async function addLabel(em: EntityManager, kind: LabelKind, name: string, drawCode: CodeDrawer) {
  const item = { id: randomUUID(), name, isOff: false };
  if (kind === 'customer') await em.insert(CustomerEntity, { ...item, note: '', charge: null });
  else if (kind === 'work-center')
    await em.insert(ResourceEntity, { ...item, kind, workCenter: '', code: drawCode('resource') });
  else await em.insert(ListItemEntity, { ...item, list: kind });
}

/** Renames a thing wherever it stands by its name. */
export async function renameEverywhere(
  em: EntityManager,
  kind: LabelKind,
  before: string,
  after: string,
): Promise<void> {
  if (before === after) return;
  switch (kind) {
    case 'department':
      await em.nativeUpdate(TechnicianEntity, { department: before }, { department: after });
      break;
    case 'crew':
      await em.nativeUpdate(TechnicianEntity, { crew: before }, { crew: after });
      await renameAssigned(em, before, after);
      break;
    case 'division':
      await em.nativeUpdate(OrderEntity, { division: before }, { division: after });
      await em.nativeUpdate(ActivityEntity, { division: before }, { division: after });
      break;
    case 'job-type':
      await em.nativeUpdate(OrderEntity, { jobType: before }, { jobType: after });
      break;
    case 'cost-code':
      await em.nativeUpdate(TaskEntity, { costCode: before }, { costCode: after });
      break;
    case 'work-center':
      await em.nativeUpdate(TaskEntity, { workCenter: before }, { workCenter: after });
      await em.nativeUpdate(ResourceEntity, { workCenter: before }, { workCenter: after });
      await renameInStandards(em, before, after);
      break;
    case 'customer':
      await em.nativeUpdate(OrderEntity, { customer: before }, { customer: after });
      await em.nativeUpdate(UnitEntity, { owner: before }, { owner: after });
      break;
    case 'down-reason':
    case 'rework-reason':
    case 'scrap-reason':
      break; // entries keep the word that was chosen at the time
  }
}

async function renameAssigned(em: EntityManager, before: string, after: string): Promise<void> {
  for (const task of await em.find(TaskEntity, { assigned: { $ne: null } })) {
    const assigned = task.assigned ?? [];
    if (!assigned.some(({ kind, id }) => kind === 'crew' && id === before)) continue;
    task.assigned = assigned.map((each) =>
      each.kind === 'crew' && each.id === before ? { ...each, id: after } : each,
    );
  }
  await em.flush();
}

async function renameInStandards(em: EntityManager, before: string, after: string): Promise<void> {
  for (const standard of await em.find(StandardEntity, { kind: 'task' })) {
    const { task } = standard.body;
    if (task?.workCenter === before)
      standard.body = { ...standard.body, task: { ...task, workCenter: after } };
  }
  await em.flush();
}
