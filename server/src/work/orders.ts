import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import type { NewOrder } from '@wergon/contract/work';
import type { Rate } from '@wergon/core/money';
import { dated } from '@wergon/core/time';
import type { Dated } from '@wergon/core/time';
import { estimateCost, estimateSeconds } from '@wergon/core/work';
import type { OrderState } from '@wergon/core/work';
import type { CodeDrawer } from '../station/drawCode.ts';
import { OrderEntity, TaskEntity } from './entities.ts';

/** Adds a work order with its tasks. Every task keeps the standard rate it was estimated with. `gradeRates` must
 *  hold every grade that a task names. */
export async function addOrder(
  em: EntityManager,
  order: NewOrder & { readonly states: Dated<OrderState> },
  gradeRates: ReadonlyMap<string, Rate>,
  drawCode: CodeDrawer,
  makeId: () => string = randomUUID,
): Promise<string> {
  const id = makeId();
  const { number, title, customer, quantity, due, estimateIncludes, states, tasks } = order;
  const code = drawCode('order');
  await em.insert(OrderEntity, {
    id,
    number,
    title,
    customer,
    quantity,
    dueDay: due,
    states,
    includes: estimateIncludes,
    code,
  });
  for (const [i, { title: taskTitle, workCenter, grade, ...hours }] of tasks.entries()) {
    const estimated = estimateSeconds(hours, quantity);
    const standardRate = gradeRates.get(grade) ?? (0 as Rate);
    await em.insert(TaskEntity, {
      id: makeId(),
      order: id,
      position: (i + 1) * 10,
      title: taskTitle,
      workCenter,
      grade,
      code: drawCode('task'),
      hasEstimate: Object.keys(hours).length > 0,
      estimate: dated(estimated),
      standardRate,
      estimatedCost: estimateCost(estimated, standardRate),
    });
  }
  return id;
}
