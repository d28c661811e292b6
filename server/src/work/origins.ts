import type { EntityManager } from '@mikro-orm/libsql';
import type { FieldProblem } from '@wergon/contract/wire';
import type { NewOrder } from '@wergon/contract/work';
import { isMeantFor } from '@wergon/core/work';
import { UnitEntity } from '../shop/index.ts';
import { StandardEntity } from './entities.ts';

/** What of an order's new tasks says that it comes from a standard and cannot: there is none, it is switched off, or it is
 *  not meant for such an order. Tasks that were there before stay as they came. */
export async function findOriginProblems(
  em: EntityManager,
  order: NewOrder,
): Promise<readonly FieldProblem[]> {
  const fresh = order.tasks.flatMap(({ id, origin }, i) => (id === null && origin ? [{ i, origin }] : []));
  if (fresh.length === 0) return [];
  const ids = [
    ...new Set(fresh.flatMap(({ origin: { job, task } }) => (job === null ? [task] : [job, task]))),
  ];
  const standards = new Map(
    (await em.find(StandardEntity, { id: { $in: ids as never[] } })).map((each) => [each.id as string, each]),
  );
  const unit = order.unit === null ? null : await em.findOne(UnitEntity, { id: order.unit });
  const subject = { item: order.item, unitType: unit?.type ?? '', customer: order.customer };
  return fresh.flatMap(({ i, origin: { job, task } }) => {
    const field = `tasks[${i}].origin`;
    const step = standards.get(task);
    const whole = job === null ? undefined : standards.get(job);
    if (step?.kind !== 'task' || (job !== null && whole?.kind !== 'job'))
      return [{ field, message: 'no such standard' }];
    if (step.isOff || whole?.isOff) return [{ field, message: 'this standard is switched off' }];
    const scopes = [step.body.task?.scope, whole?.body.job?.scope];
    return scopes.every((scope) => isMeantFor(scope, subject))
      ? []
      : [{ field, message: 'this standard is not meant for such an order' }];
  });
}
