import type { WorkOrderId } from '@wergon/core/work';
import type { NewOrder } from '@wergon/contract/work';
import { ok } from '@wergon/core/result';
import { dated } from '@wergon/core/time';
import { findChanges } from '@wergon/core/work';
import type { Context, Mount, RouteRefusal } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { UnitEntity } from '../shop/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { keepChanges, loadGrades, loadTasks, orderWords } from './changes.ts';
import { mountDuplicate } from './duplicate.ts';
import { OrderEntity } from './entities.ts';
import type { Task } from './entities.ts';
import { mountRelease } from './move.ts';
import { addOrder, saveOrder } from './orders.ts';
import { findOriginProblems } from './origins.ts';

/** What the ledger, which comes after this room, answers it. */
export type WorkContext = Context & {
  /** Whether the journal has ever named a task; such a task stays, so that no entry points nowhere. */
  readonly hasLabor: (task: string) => Promise<boolean>;
};

/** Routes that make and change orders. */
export function mountEditing(mount: Mount, context: WorkContext): void {
  const { database, clock, setupChanged, hasLabor } = context;
  mountRelease(mount, context);
  mountDuplicate(mount, context);

  /** What of an order names something that does not exist, or a number that another order has. */
  const findProblem = async (order: NewOrder, own?: WorkOrderId): Promise<RouteRefusal | undefined> => {
    const em = database.em.fork();
    const other = await em.findOne(OrderEntity, { number: order.number });
    if (other && other.id !== own)
      return refuse('record.taken', [{ field: 'number', message: 'there is an order of this number' }]);
    const { rates } = await loadGrades(em);
    const errors = order.tasks.flatMap(({ grade }, i) =>
      rates.has(grade) ? [] : [{ field: `tasks[${i}].grade`, message: 'no such grade' }],
    );
    if (order.unit !== null && !(await em.findOne(UnitEntity, { id: order.unit })))
      errors.push({ field: 'unit', message: 'no such unit' });
    errors.push(...(await findOriginProblems(em, order)));
    return errors.length > 0 ? refuse('input.invalid', errors) : undefined;
  };

  mount('addOrder', async ({ body, who }) => {
    const problem = await findProblem(body);
    if (problem) return problem;
    const { rates } = await loadGrades(database.em.fork());
    const id = await database.em.fork().transactional(async (em) => {
      const made = await addOrder(em, { ...body, states: dated('draft' as const) }, rates, drawRandomCode);
      await keepChanges(em, made, { by: who.user.name, now: clock.now() }, [
        { field: 'Order', before: '', after: 'made as a draft' },
      ]);
      return made;
    });
    setupChanged([id]);
    return ok({ id });
  });

  mount('saveOrder', async ({ param, body: { version, ...order }, who }) => {
    const id = param('order');
    const before = await database.em.fork().findOne(OrderEntity, { id });
    if (!before) return refuse('record.not_found');
    if (before.version !== version) return refuse('record.changed');
    if (before.states.at(-1)?.value === 'offered') return refuse('offer.is_out');
    const problem = await findProblem(order, id);
    if (problem) return problem;
    const tasks = await loadTasks(database.em.fork(), id);
    const kept = new Set(order.tasks.map((task) => task.id));
    const foreign = order.tasks.findIndex(
      (task) => task.id !== null && !tasks.some((own) => own.id === task.id),
    );
    if (foreign >= 0)
      return refuse('input.invalid', [{ field: `tasks[${foreign}].id`, message: 'no such task here' }]);
    const worked = await findWorked(tasks.filter((task) => !kept.has(task.id)));
    if (worked)
      return refuse('order.task_has_labor', [
        { field: 'tasks', message: `${worked.title} has labor: close it instead of deleting it` },
      ]);
    const { rates } = await loadGrades(database.em.fork());
    const isSaved = await database.em.fork().transactional(async (em) => {
      // Asked again inside the transaction: two who save at once must not both go through.
      const now = await em.findOne(OrderEntity, { id, version });
      if (!now) return false;
      const wordsBefore = await orderWords(em, now);
      await saveOrder(em, now, tasks, order, rates, clock.now(), drawRandomCode);
      em.clear();
      const after = await em.findOneOrFail(OrderEntity, { id });
      await keepChanges(
        em,
        id,
        { by: who.user.name, now: clock.now() },
        findChanges(wordsBefore, await orderWords(em, after)),
      );
      return true;
    });
    setupChanged([id]);
    return isSaved ? ok(null) : refuse('record.changed');
  });

  const findWorked = async (tasks: readonly Task[]): Promise<Task | undefined> => {
    for (const task of tasks) if (await hasLabor(task.id)) return task;
    return undefined;
  };
}
