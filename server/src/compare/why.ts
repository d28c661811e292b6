import type { AgainstJson } from '@wergon/contract/compare';
import {
  againstFirst,
  estimateParts,
  findCauses,
  standardRateOn,
  sumComparisons,
  sumDifferences,
} from '@wergon/core/compare';
import type { CausedDifference } from '@wergon/core/compare';
import { formatCents } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { loadSeq } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { firstEstimateOf, readHours } from '../work/index.ts';
import type { WorkOrder } from '../work/index.ts';
import { costsFor, loadLabor } from './taskLabor.ts';
import type { Costs, TaskWithLabor } from './taskLabor.ts';

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
    const causes = labor
      // What was offered and not accepted, and not worked on either, differs from nothing.
      .filter(({ task, lines }) => task.isAccepted || lines.length > 0)
      .map((each) => causesOf(known, order, each, costs));
    return ok({
      asOf: now,
      seq,
      id: order.id,
      number: order.number,
      title: order.title,
      customer: order.customer,
      costs,
      ...writeSum(causes),
      tasks: causes.map((each) => ({
        id: each.labor.task.id,
        position: each.labor.task.position,
        title: each.labor.task.title,
        hasEstimate: each.labor.task.hasEstimate,
        wholeEstimateSeconds: each.labor.comparison.estimatedSeconds,
        ...writeSum([each]),
      })),
    });
  });
}

type Caused = {
  readonly labor: TaskWithLabor;
  readonly current: CausedDifference;
  readonly first: CausedDifference;
};

function causesOf(facts: ShopFacts, order: WorkOrder, labor: TaskWithLabor, costs: Costs): Caused {
  const { task, lines, isFinished, pieces, comparison } = labor;
  const includes = withAlwaysIncluded(order.includes);
  const { estimatedSeconds, estimatedCost } = comparison;
  const estimate = {
    ...estimateParts(task.isAccepted ? readHours(task.hours) : {}, includes),
    estimatedSeconds,
    quantity: order.quantity,
    rate: task.standardRate,
    includes,
    isFinished,
  };
  const graded = lines.map((line) => ({
    ...line,
    gradeRate: standardRateOn(facts, line.technician, line.day, task.standardRate) ?? task.standardRate,
  }));
  const current = findCauses(estimate, pieces ?? { good: 0, scrap: 0 }, graded, costs);
  // What was offered and not accepted was never to be done, at first either.
  const first = task.isAccepted ? firstEstimateOf(task) : { estimatedSeconds, estimatedCost };
  return { labor, current, first: againstFirst(current, first, { estimatedSeconds, estimatedCost }) };
}

/** What tasks come to together. */
function writeSum(causes: readonly Caused[]) {
  const { actualSeconds, actualCost, outsideSeconds, outsideCost } = sumComparisons(
    causes.map(({ labor }) => labor.comparison),
  );
  const current = sumDifferences(causes.map((each) => each.current));
  return {
    actualSeconds,
    actualCost: formatCents(actualCost),
    outsideSeconds,
    outsideCost: formatCents(outsideCost),
    measuredSeconds: current.measuredSeconds,
    isFinished: current.isFinished,
    current: writeAgainst(current),
    first: writeAgainst(sumDifferences(causes.map(({ first }) => first))),
  };
}

const writeAgainst = (all: CausedDifference): AgainstJson => ({
  estimatedSeconds: all.expectedSeconds,
  estimatedCost: formatCents(all.expectedCost),
  differenceSeconds: all.differenceSeconds,
  difference: formatCents(all.difference),
  causes: all.causes.map(({ cause, seconds, cents }) => ({ cause, seconds, cost: formatCents(cents) })),
});
