import { compareTask, sumComparisons } from '@wergon/core/compare';
import type { Comparison } from '@wergon/core/compare';
import type { LaborLine, Ledger } from '@wergon/core/ledger';
import { formatCents } from '@wergon/core/money';
import { WORK_TYPES, estimateCost, estimateSeconds, withAlwaysIncluded } from '@wergon/core/work';
import { groupByTarget, standardRatesOf } from './replayFacts.ts';
import type { Scenario } from './scenario.ts';

/** What a result says of tasks and orders against their estimates. */
export function writeComparisons(
  scenario: Scenario,
  lines: readonly LaborLine[],
  finished: Ledger['finished'],
) {
  const linesByTarget = groupByTarget(lines);
  const standardRates = standardRatesOf(scenario);
  const orders = scenario.workOrders.map(({ id, quantity, estimateIncludes = WORK_TYPES, tasks }) => ({
    workOrder: id,
    tasks: tasks.map((task) => {
      const estimatedSeconds = estimateSeconds(task.estimate, quantity);
      const isFinished = finished.has(task.id);
      const comparison = compareTask(
        {
          estimatedSeconds,
          estimatedCost: estimateCost(estimatedSeconds, standardRates(task.grade)),
          includes: withAlwaysIncluded(estimateIncludes),
          isFinished,
        },
        linesByTarget.get(task.id) ?? [],
      );
      return { task: task.id, comparison, isFinished };
    }),
  }));
  return {
    tasks: orders.flatMap(({ tasks }) =>
      tasks.map(({ task, comparison, isFinished }) => ({
        task,
        ...writeComparison(comparison),
        finished: isFinished,
      })),
    ),
    workOrders: orders.map(({ workOrder, tasks }) => ({
      workOrder,
      ...writeComparison(sumComparisons(tasks.map(({ comparison }) => comparison))),
    })),
  };
}

function writeComparison({ uncostedLines: _notWritten, ...comparison }: Comparison) {
  return {
    ...comparison,
    estimatedCost: formatCents(comparison.estimatedCost),
    actualCost: formatCents(comparison.actualCost),
    outsideCost: formatCents(comparison.outsideCost),
    costDifference: formatCents(comparison.costDifference),
  };
}
