import type { EntityManager } from '@mikro-orm/libsql';
import { ok } from '@wergon/core/result';
import { inForceAt, toSeconds } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { UnitEntity, unitWords } from '../shop/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { TravelerCodeEntity } from '../work/index.ts';
import type { Task } from '../work/index.ts';

/** Codes of a print: the same for as long as the order stays as it is, and fresh ones once it has changed, so that a
 *  scan tells an old paper from the one that holds. */
async function codesOf(
  em: EntityManager,
  tasks: readonly Task[],
  version: number,
  workTypes: readonly WorkType[],
) {
  const known = await em.find(TravelerCodeEntity, { task: { $in: tasks.map(({ id }) => id) }, version });
  const codes = new Map(known.map(({ task, workType, code }) => [`${task} ${workType}`, code]));
  for (const { id: task } of tasks)
    for (const workType of ['' as const, ...workTypes]) {
      if (codes.has(`${task} ${workType}`)) continue;
      const code = drawRandomCode('macro');
      await em.insert(TravelerCodeEntity, { code, task, workType, version });
      codes.set(`${task} ${workType}`, code);
    }
  return (task: string, workType: string) => codes.get(`${task} ${workType}`) ?? '';
}

/** Routes of the papers that go with an order. */
export function mountLabels(mount: Mount, { database, clock, facts, live }: LedgerContext): void {
  mount('travelers', async ({ body }) => {
    const known = await facts.get();
    const orders = body.orders.map((id) => known.orders.get(id));
    if (orders.some((order) => !order)) return refuse('record.not_found');
    const em = database.em.fork();
    const units = new Map((await em.findAll(UnitEntity)).map((unit) => [unit.id, unit]));
    const now = clock.now();
    const today = known.zone.dayAt(now);
    const travelers = await em.transactional(async (inner) => {
      const written = [];
      for (const order of orders) {
        if (!order) continue;
        const tasks = (known.tasksByOrder.get(order.id) ?? [])
          .filter((task) => task.isAccepted)
          .sort((a, b) => a.position - b.position);
        const codeOf = await codesOf(inner, tasks, order.version, body.workTypes);
        const unit = order.unit == null ? undefined : units.get(order.unit);
        written.push({
          number: order.number,
          title: order.title,
          customer: order.customer,
          quantity: order.quantity,
          due: order.dueDay ?? null,
          unit: unit ? unitWords(unit) : '',
          item: order.item,
          notes: order.notes,
          code: order.code,
          printedOn: today,
          version: order.version,
          tasks: tasks.map((task) => ({
            position: task.position,
            title: task.title,
            workCenter: task.workCenter,
            estimatedSeconds: task.hasEstimate ? toSeconds(inForceAt(task.estimate, now)) : null,
            description: task.description,
            instructions: (task.instructions ?? []).map(({ text, hours = '' }) => ({ text, hours })),
            codes: [
              { workType: 'run' as const, code: codeOf(task.id, '') },
              ...body.workTypes
                .filter((workType) => workType !== 'run')
                .map((workType) => ({ workType, code: codeOf(task.id, workType) })),
            ],
          })),
        });
      }
      return written;
    });
    // Stations must know the new codes before the paper reaches the floor.
    live.publishSetup();
    return ok({ travelers });
  });
}
