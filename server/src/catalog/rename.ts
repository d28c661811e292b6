import type { EntityManager } from '@mikro-orm/libsql';
import { PayGroupEntity, TechnicianEntity } from '../people/index.ts';
import { ActivityEntity, OvertimeRuleEntity, ResourceEntity, UnitEntity } from '../shop/index.ts';
import type { ListKind } from '../shop/index.ts';
import { OrderEntity, StandardEntity, TaskEntity } from '../work/index.ts';

/** Renames a thing wherever it stands by its name. */
export async function renameEverywhere(
  em: EntityManager,
  kind: ListKind,
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
    case 'pay-group':
      await em.nativeUpdate(PayGroupEntity, { payGroup: before }, { payGroup: after });
      await em.nativeUpdate(OvertimeRuleEntity, { payGroup: before }, { payGroup: after });
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
