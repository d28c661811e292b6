import {
  againstFirst,
  estimateParts,
  findCauses,
  standardRateOn,
  sumComparisons,
  sumDifferences,
} from '@wergon/core/compare';
import type { CausedDifference } from '@wergon/core/compare';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { ShopFacts } from '../catalog/index.ts';
import { firstEstimateOf, readHours } from '../work/index.ts';
import type { WorkOrder } from '../work/index.ts';
import type { Costs, TaskWithLabor } from './taskLabor.ts';

/** A task with why it differs from its current estimate and from its first one. */
export type Caused = {
  readonly labor: TaskWithLabor;
  readonly current: CausedDifference;
  readonly first: CausedDifference;
};

/** Why each of an order's tasks differs. What was offered and not accepted, and not worked on either, differs from
 *  nothing. */
export const causesOfTasks = (
  facts: ShopFacts,
  order: WorkOrder,
  labor: readonly TaskWithLabor[],
  costs: Costs,
): readonly Caused[] =>
  labor
    .filter(({ task, lines }) => task.isAccepted || lines.length > 0)
    .map((each) => causesOf(facts, order, each, costs));

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
export function sumCaused(causes: readonly Caused[]) {
  const { actualSeconds, actualCost, outsideSeconds, outsideCost } = sumComparisons(
    causes.map(({ labor }) => labor.comparison),
  );
  const current = sumDifferences(causes.map((each) => each.current));
  const first = sumDifferences(causes.map((each) => each.first));
  return {
    actualSeconds,
    actualCost,
    outsideSeconds,
    outsideCost,
    isFinished: current.isFinished,
    current,
    first,
  };
}
