import type { OrderRow } from '@wergon/contract/work';
import { addUsed } from '@wergon/core/floor';
import type { UsedByType } from '@wergon/core/floor';
import type { Rate } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { dated, formatDay, formatInstant, inForceAt } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { Who } from '../access/identify.ts';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { readSql } from '../db/index.ts';
import { loadSeq } from '../ledger/strands.ts';
import { GradeEntity } from '../people/entities.ts';
import { drawRandomCode } from '../station/drawCode.ts';
import { OrderEntity } from './entities.ts';
import type { WorkOrder } from './entities.ts';
import { addOrder } from './orders.ts';
import { loadLabor, writeLabor, writeLine } from './standing.ts';
import type { TaskWithLabor } from './standing.ts';

const seesRates = (who: Who) => who.kind === 'desk' && who.rights.has('rates.see');

/** What fills a yardstick: the work types that the estimate includes. */
function usedOf(tasks: readonly Pick<TaskWithLabor, 'lines'>[], order: WorkOrder): UsedByType {
  const includes = withAlwaysIncluded(order.includes);
  return tasks
    .flatMap(({ lines }) => lines)
    .filter(({ workType }) => includes.has(workType))
    .reduce<UsedByType>((used, { workType, seconds }) => addUsed(used, workType, seconds), {});
}

const orderRow = (
  order: WorkOrder,
  tasks: readonly TaskWithLabor[],
  comparison: OrderRow['comparison'],
  now: Instant,
): OrderRow => ({
  id: order.id,
  number: order.number,
  title: order.title,
  customer: order.customer,
  quantity: order.quantity,
  due: order.dueDay === null ? null : formatDay(order.dueDay as LocalDay),
  state: inForceAt(order.states, now),
  taskCount: tasks.length,
  finishedTaskCount: tasks.filter(({ isFinished }) => isFinished).length,
  comparison,
  used: { ...usedOf(tasks, order) },
  hasEstimate: tasks.some(({ task }) => task.hasEstimate),
  isFinished: tasks.length > 0 && tasks.every(({ isFinished }) => isFinished),
  peopleOn: [...new Set(tasks.flatMap(({ peopleOn }) => peopleOn))],
});

export function mountWork(mount: Mount, { database, clock, facts, live }: Context): void {
  mount('work', async ({ who }) => {
    const known = await facts.get();
    const now = clock.now();
    const { labor, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, [...known.tasks.values()], now),
      seq: loadSeq(sql),
    }));
    const byOrder = new Map<string, TaskWithLabor[]>();
    for (const each of labor) byOrder.set(each.task.order, [...(byOrder.get(each.task.order) ?? []), each]);
    return ok({
      asOf: formatInstant(now),
      seq,
      orders: [...known.orders.values()].map((order) => {
        const tasks = byOrder.get(order.id) ?? [];
        return orderRow(order, tasks, writeLabor(order, tasks, seesRates(who)).sum, now);
      }),
    });
  });

  mount('order', async ({ param, who }) => {
    const known = await facts.get();
    const order = known.orders.get(param('order'));
    if (!order) return refuse('record.not_found');
    const now = clock.now();
    const own = [...known.tasks.values()].filter((task) => task.order === order.id);
    const { labor, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, own, now),
      seq: loadSeq(sql),
    }));
    const { sum, tasks } = writeLabor(order, labor, seesRates(who));
    return ok({
      asOf: formatInstant(now),
      seq,
      order: { ...orderRow(order, labor, sum, now), code: order.code, includes: order.includes },
      tasks: tasks.map(({ task, lines, json, isFinished, peopleOn }) => ({
        id: task.id,
        position: task.position,
        title: task.title,
        workCenter: task.workCenter,
        code: task.code,
        comparison: json,
        used: { ...usedOf([{ lines }], order) },
        hasEstimate: task.hasEstimate,
        isFinished,
        peopleOn: [...peopleOn],
        lines: [...lines]
          .sort((a, b) => a.day - b.day || (a.technician < b.technician ? -1 : 1))
          .map((line) => writeLine(known, line, seesRates(who))),
      })),
    });
  });

  mount('addOrder', async ({ body }) => {
    const em = database.em.fork();
    if (await em.findOne(OrderEntity, { number: body.number }))
      return refuse('record.taken', [{ field: 'number', message: 'there is an order of this number' }]);
    const grades = await em.findAll(GradeEntity);
    const rates = new Map(grades.map(({ id, standardRate }) => [id, standardRate as Rate]));
    const unknown = body.tasks.findIndex(({ grade }) => !rates.has(grade));
    if (unknown >= 0)
      return refuse('input.invalid', [{ field: `tasks[${unknown}].grade`, message: 'no such grade' }]);
    const id = await em.transactional((inner) =>
      addOrder(inner, { ...body, states: dated('draft' as const) }, rates, drawRandomCode),
    );
    facts.forget();
    live.publishSetup();
    return ok({ id });
  });

  mount('changeOrderState', async ({ param, body }) => {
    const em = database.em.fork();
    const order = await em.findOne(OrderEntity, { id: param('order') });
    if (!order) return refuse('record.not_found');
    order.states = [...order.states, { from: clock.now(), value: body.state }];
    await em.flush();
    facts.forget();
    live.publishSetup();
    return ok(null);
  });
}
