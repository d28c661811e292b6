import type { Rate } from '@wergon/core/money';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Instant } from '@wergon/core/time';
import type { FieldChange, WorkOrderId } from '@wergon/core/work';
import { GradeEntity } from '../people/index.ts';
import { UnitEntity } from '../shop/index.ts';
import { OrderChangeEntity, TaskEntity } from './entities.ts';
import type { WorkOrder } from './entities.ts';
import { orderInWords } from './orders.ts';

// All of these are asked with the manager at hand: there is one connection, and a transaction holds it.

export const loadTasks = (em: EntityManager, order: WorkOrderId) =>
  em.find(TaskEntity, { order }, { orderBy: { position: 1 } });

/** Standard rates by grade, and what each grade is called. */
export async function loadGrades(em: EntityManager) {
  const grades = await em.findAll(GradeEntity);
  return {
    rates: new Map<string, Rate>(grades.map(({ id, standardRate }) => [id, standardRate])),
    nameOf: (id: string) => grades.find((grade) => grade.id === id)?.name ?? id,
  };
}

/** Who changes an order, and when. */
export type Changer = { readonly by: string; readonly now: Instant };

/** Keeps what was changed of an order; nothing if nothing was. */
export async function keepChanges(
  em: EntityManager,
  order: WorkOrderId,
  { by, now: at }: Changer,
  changes: FieldChange[],
): Promise<void> {
  if (changes.length > 0) await em.insert(OrderChangeEntity, { order, at, by, changes });
}

/** An order with its tasks as fields of words, for a list of what was changed. */
export async function orderWords(em: EntityManager, order: WorkOrder) {
  const { nameOf: grade } = await loadGrades(em);
  const units = new Map(
    (await em.findAll(UnitEntity)).map((unit) => [unit.id, `${unit.type} ${unit.serialNumber}`]),
  );
  return orderInWords(order, await loadTasks(em, order.id), { grade, unit: (id) => units.get(id) ?? id });
}
