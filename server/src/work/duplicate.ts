import type { WorkOrderId } from '@wergon/core/work';
import { newId } from '../db/index.ts';
import type { EntityManager } from '@mikro-orm/libsql';
import { ok } from '@wergon/core/result';
import { dated, inForceAt } from '@wergon/core/time';
import { estimateCost } from '@wergon/core/work';
import { refuse } from '../http/index.ts';
import type { Context, Mount } from '../http/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { keepChanges, loadGrades, loadTasks } from './changes.ts';
import type { Changer } from './changes.ts';
import { OrderEntity, TaskEntity } from './entities.ts';
import type { WorkOrder } from './entities.ts';

/** Makes a draft of the same tasks. */
export function mountDuplicate(mount: Mount, { database, clock, setupChanged }: Context): void {
  mount('duplicateOrder', async ({ param, body, who }) => {
    const em = database.em.fork();
    const order = await em.findOne(OrderEntity, { id: param('order') });
    if (!order) return refuse('record.not_found');
    if (await em.findOne(OrderEntity, { number: body.number }))
      return refuse('record.taken', [{ field: 'number', message: 'there is an order of this number' }]);
    const id = await em.transactional((inner) =>
      duplicate(inner, order, body.number, { by: who.user.name, now: clock.now() }),
    );
    setupChanged([id]);
    return ok({ id });
  });
}

async function duplicate(
  em: EntityManager,
  order: WorkOrder,
  number: string,
  changer: Changer,
): Promise<WorkOrderId> {
  const id = newId<WorkOrderId>();
  const { rates } = await loadGrades(em);
  await em.insert(OrderEntity, {
    ...copyOf(order),
    id,
    number,
    dueDay: null,
    states: dated('draft' as const),
    code: drawRandomCode('order'),
    version: 1,
  });
  for (const task of await loadTasks(em, order.id)) {
    const seconds = inForceAt(task.estimate, changer.now);
    const standardRate = rates.get(task.grade) ?? task.standardRate;
    await em.insert(TaskEntity, {
      ...copyOf(task),
      id: newId(),
      order: id,
      code: drawRandomCode('task'),
      estimate: dated(seconds),
      standardRate,
      estimatedCost: estimateCost(seconds, standardRate),
      originalCost: null,
      isAccepted: true,
      // Whoever copies an order means its tasks: none of the copy was written down at a station.
      written: null,
      writtenState: null,
      writtenBy: null,
    });
  }
  await keepChanges(em, id, changer, [
    { field: 'Order', before: '', after: `made as a copy of ${order.number}` },
  ]);
  return id;
}

/** A record's own columns, without what the mapper hangs on it. */
const copyOf = <T extends object>(record: T): T => ({ ...record });
