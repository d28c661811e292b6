import { DEFAULT_POLICY } from '@wergon/core/ledger';
import type { LaborLine, LedgerFacts, TargetFacts, TargetId } from '@wergon/core/ledger';
import { toRate } from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import { costRatesOf } from '@wergon/core/people';
import { Defect, groupBy } from '@wergon/core/result';
import { createZone, dated } from '@wergon/core/time';
import { estimateSeconds } from '@wergon/core/work';
import type { Scenario } from './scenario.ts';

/** Everything the ledger reads of a scenario. A scenario's facts never change, and its orders count as released. */
export function factsOf(scenario: Scenario): LedgerFacts {
  const zone = createZone(scenario.zone);
  if (!zone.ok) throw new Defect(`zone of a parsed scenario: ${scenario.zone}`);
  const tasks = scenario.workOrders.flatMap(({ quantity, tasks }) =>
    tasks.map(({ id, estimate }): [TargetId, TargetFacts] => [
      id,
      { kind: 'task', estimate: dated(estimateSeconds(estimate, quantity)), isReleased: dated(true) },
    ]),
  );
  const activities = scenario.indirect.map(({ id, counts = true, paid = true }): [TargetId, TargetFacts] => [
    id,
    { kind: 'activity', counts: dated(counts), isPaid: paid },
  ]);
  return {
    zone: zone.value,
    policy: dated({ ...DEFAULT_POLICY, ...scenario.policy }),
    targets: new Map([...tasks, ...activities]),
    costRates: new Map(scenario.technicians.map(({ id, rates }) => [id, costRatesOf(rates)])),
  };
}

/** The standard rate of each grade; parseScenario has refused grades that there are not. */
export function standardRatesOf({ grades }: Scenario): (grade: string) => Rate {
  const rates = new Map<string, Rate>(grades.map(({ id, standardRate }) => [id, standardRate]));
  return (grade) => rates.get(grade) ?? toRate(0);
}

/** Labor lines by what they are on. */
export const groupByTarget = <Line extends LaborLine>(lines: readonly Line[]) =>
  groupBy(lines, ({ target }) => target);
