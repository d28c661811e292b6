import { ok } from '@wergon/core/result';
import { inForceAt } from '@wergon/core/time';
import { isWorkable } from '@wergon/core/work';
import type { WorkOrderId } from '@wergon/core/work';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { AttachmentEntity } from '../work/index.ts';
import type { StationContext } from './context.ts';

/** The pictures and papers of the work at hand: of orders that can be worked on, and of no others. */
export function mountPapers(mount: Mount, { database, facts, clock }: StationContext): void {
  const isOnTheFloor = async (id: WorkOrderId) => {
    const order = (await facts.get()).orders.get(id);
    return order !== undefined && isWorkable(inForceAt(order.states, clock.now()));
  };

  mount('taskPapers', async ({ param }) => {
    const order = param('order');
    if (!(await isOnTheFloor(order))) return refuse('record.not_found');
    const papers = await database.em
      .fork()
      .find(AttachmentEntity, { order }, { orderBy: { addedAt: 1 }, fields: ['id', 'name', 'type'] });
    return ok({ papers: papers.map(({ id, name, type }) => ({ id, name, type })) });
  });

  mount('taskPaper', async ({ param }) => {
    const order = param('order');
    if (!(await isOnTheFloor(order))) return refuse('record.not_found');
    const found = await database.em.fork().findOne(AttachmentEntity, { id: param('attachment'), order });
    if (!found) return refuse('record.not_found');
    return ok({ name: found.name, type: found.type, base64: Buffer.from(found.bytes).toString('base64') });
  });
}
