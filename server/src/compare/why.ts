import { ok } from '@wergon/core/result';
import { readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { loadSeq } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { causesOfTasks, sumCaused } from './caused.ts';
import { costsFor, loadLabor } from './taskLabor.ts';

/** Why an order's labor costs other than estimated. Source: docs/compare.md, section 2. */
export function mountWhy(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('why', async ({ param, who }) => {
    const known = await facts.seenBy(who.user);
    const order = known.orders.get(param('order'));
    if (!order) return refuse('record.not_found');
    const now = clock.now();
    const costs = costsFor(who);
    const tasks = known.tasksByOrder.get(order.id) ?? [];
    const { labor, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, tasks, now, costs),
      seq: loadSeq(sql),
    }));
    const causes = causesOfTasks(known, order, labor, costs);
    return ok({
      asOf: now,
      seq,
      id: order.id,
      number: order.number,
      title: order.title,
      customer: order.customer,
      costs,
      price: order.price ?? null,
      ...sumCaused(causes),
      tasks: causes.map((each) => ({
        id: each.labor.task.id,
        position: each.labor.task.position,
        title: each.labor.task.title,
        hasEstimate: each.labor.task.hasEstimate,
        wholeEstimateSeconds: each.labor.comparison.estimatedSeconds,
        wholeEstimatedCost: each.labor.comparison.estimatedCost,
        ...sumCaused([each]),
      })),
    });
  });
}
