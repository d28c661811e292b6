import type { ProblemCode } from '@wergon/contract/wire';
import { ok } from '@wergon/core/result';
import { inForceAt } from '@wergon/core/time';
import { checkMove } from '@wergon/core/work';
import type { FieldChange, OrderState, WorkOrderId } from '@wergon/core/work';
import { refuse } from '../http/index.ts';
import type { RouteRefusal, Context, Mount } from '../http/index.ts';
import { keepChanges, loadTasks } from './changes.ts';
import type { Changer } from './changes.ts';
import { OrderEntity, TaskEntity } from './entities.ts';
import { EstimateAskEntity } from './offerEntities.ts';
import type { Task } from './entities.ts';

type Move = {
  readonly to: OrderState;
  readonly changer: Changer;
  /** Of optional tasks those that are accepted with the order; absent where nothing is said of them. */
  readonly accepted?: readonly string[] | undefined;
};

/** Moves an order to another state, if it can go there. */
export const moveOrder = (
  { database }: Pick<Context, 'database'>,
  id: WorkOrderId,
  { to, changer, accepted }: Move,
): Promise<RouteRefusal | undefined> =>
  // Read inside the transaction that writes: of two who move an order at once, the second moves it from where the
  // first has put it, or is refused.
  database.em.fork().transactional(async (em) => {
    const order = await em.findOne(OrderEntity, { id });
    if (!order) return refuse('record.not_found');
    const tasks = await loadTasks(em, id);
    const isTaken = (task: Task) => !task.isOptional || accepted === undefined || accepted.includes(task.id);
    const state = inForceAt(order.states, changer.now);
    const isAccepting = accepted !== undefined && state === 'draft';
    const taskCount = tasks.filter((task) => (isAccepting ? isTaken(task) : task.isAccepted)).length;
    const checked = checkMove({ state, taskCount }, to);
    if (!checked.ok) return refuse(checked.code);
    const changes: FieldChange[] = [{ field: 'State', before: state, after: to }];
    const states = [...order.states, { from: changer.now, value: to }];
    await em.nativeUpdate(OrderEntity, { id }, { states });
    // Of an estimate that was asked for: open while it is asked for and offered, else it has come to something.
    const answeredAt = to === 'asked' ? null : changer.now;
    await em.nativeUpdate(EstimateAskEntity, { order: id }, { answeredAt });
    for (const task of isAccepting ? tasks : []) {
      if (task.isAccepted === isTaken(task)) continue;
      await em.nativeUpdate(TaskEntity, { id: task.id }, { isAccepted: isTaken(task) });
      changes.push({ field: task.title, before: '', after: isTaken(task) ? 'accepted' : 'not accepted' });
    }
    if (changes.length > 1) await em.nativeUpdate(OrderEntity, { id }, { version: order.version + 1 });
    await keepChanges(em, id, changer, changes);
    return undefined;
  });

/** Releases several orders at once; those that cannot be are named with why. */
export function mountRelease(mount: Mount, context: Context): void {
  const { database, clock, setupChanged } = context;
  const numberOf = async (id: WorkOrderId) =>
    (await database.em.fork().findOne(OrderEntity, { id }))?.number ?? id;

  mount('releaseOrders', async ({ body, who }) => {
    const released: WorkOrderId[] = [];
    const refused: { number: string; code: ProblemCode }[] = [];
    const changer = { by: who.user.name, now: clock.now() };
    for (const id of new Set(body.orders)) {
      const problem = await moveOrder(context, id, { to: 'released', changer });
      if (problem) refused.push({ number: await numberOf(id), code: problem.code });
      else released.push(id);
    }
    setupChanged(released);
    return ok({ released, refused });
  });
}
