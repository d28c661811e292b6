import type { TechnicianId } from '@wergon/core/people';
import type { WorkOrderId } from '@wergon/core/work';
import { findPlain } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import { CostRateEntity, GradeEntity, gradeRatesOf, gradesByTechnician } from '../people/index.ts';
import { OrderEntity, TaskEntity } from '../work/index.ts';
import type { Task } from '../work/index.ts';
import type { ShopFacts } from './shopFacts.ts';

/** Facts with nothing but some orders, and some people's standard cost, as the database has them in this transaction: what has
 *  just been changed may not be in the facts that are kept. */
export function factsNow(
  sql: Sql,
  database: Database,
  facts: ShopFacts,
  orders: readonly WorkOrderId[],
  people: readonly TechnicianId[],
): ShopFacts {
  const tasks = findPlain(sql, database, TaskEntity, {
    where: { column: 'work_order', among: orders },
    sortedBy: ['work_order', 'position'],
  });
  const tasksByOrder = new Map<WorkOrderId, Task[]>(orders.map((id) => [id, []]));
  for (const task of tasks) tasksByOrder.get(task.order)?.push(task);
  const found = findPlain(sql, database, OrderEntity, { where: { column: 'id', among: orders } });
  return {
    ...facts,
    orders: new Map(found.map((order) => [order.id, order])),
    tasks: new Map(tasks.map((task) => [task.id, task])),
    tasksByOrder,
    gradesOf: gradesByTechnician(
      findPlain(sql, database, CostRateEntity, { where: { column: 'technician', among: people } }),
    ),
    gradeRates: new Map(
      findPlain(sql, database, GradeEntity).map((grade) => [grade.id, gradeRatesOf(grade)]),
    ),
  };
}
