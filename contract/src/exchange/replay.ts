import { compareTask, sumComparisons } from '@wergon/core/compare';
import type { Comparison } from '@wergon/core/compare';
import { DEFAULT_POLICY, deriveLedger } from '@wergon/core/ledger';
import type {
  Entry,
  LaborLine,
  Ledger,
  LedgerFacts,
  LooseEnd,
  TargetFacts,
  TargetId,
} from '@wergon/core/ledger';
import { formatCents, toRate } from '@wergon/core/money';
import { costRatesOf } from '@wergon/core/people';
import { Defect, ok } from '@wergon/core/result';
import { createZone, dated, formatDay, formatInstant } from '@wergon/core/time';
import { WORK_TYPES, estimateCost, estimateSeconds, withAlwaysIncluded } from '@wergon/core/work';
import { parseScenario } from './scenario.ts';
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
  const activities = scenario.indirect.map(({ id, counts = true }): [TargetId, TargetFacts] => [
    id,
    { kind: 'activity', counts: dated(counts) },
  ]);
  return {
    zone: zone.value,
    policy: dated({ ...DEFAULT_POLICY, ...scenario.policy }),
    targets: new Map([...tasks, ...activities]),
    costRates: new Map(scenario.technicians.map(({ id, rates }) => [id, costRatesOf(rates)])),
  };
}

/** Reads a scenario and gives the result document. Source: docs/scenario-format.md. */
export function replayScenario(text: string) {
  const parsed = parseScenario(text);
  if (!parsed.ok) return parsed;
  const scenario = parsed.value;
  const ledger = deriveLedger(scenario.events.map(withoutRidesAlong), factsOf(scenario), scenario.asOf);
  return ok({ format: 'wergon-result/1', ...writeLedger(ledger), ...writeComparisons(scenario, ledger) });
}

/** Documents of version 1 may say at which machine somebody worked, by which rate it is charged and how it is paid; their
 *  result does not know of it. */
function withoutRidesAlong(entry: Entry): Entry {
  if (entry.type === 'amend') return { ...entry, set: without(entry.set) };
  // Each by itself: what is left of one type is an entry of that type.
  if (entry.type === 'work-start') return without(entry);
  return entry.type === 'hours' ? without(entry) : entry;
}
const without = <T extends RidesAlongAmended>({
  machine: _machine,
  chargeRate: _chargeRate,
  payClass: _payClass,
  ...rest
}: T) => rest;
type RidesAlongAmended = {
  readonly machine?: string | null;
  readonly chargeRate?: string | null;
  readonly payClass?: string | null;
};

/** Orders by keys, each compared by code unit or by number, the first that differs deciding. */
const by =
  <T>(...keys: readonly ((item: T) => string | number)[]) =>
  (a: T, b: T): number => {
    for (const key of keys) {
      const [left, right] = [key(a), key(b)];
      if (left !== right) return left < right ? -1 : 1;
    }
    return 0;
  };

function writeLedger(ledger: Ledger) {
  const stints = [...ledger.stints].sort(
    by(
      ({ technician }) => technician,
      ({ from }) => from,
    ),
  );
  const lines = [...ledger.lines].sort(
    by(
      ({ technician }) => technician,
      ({ target }) => target,
      ({ workType }) => workType,
      ({ day }) => day,
    ),
  );
  const attendance = [...ledger.attendance].sort(
    by(
      ({ technician }) => technician,
      ({ day }) => day,
    ),
  );
  return {
    stints: stints.map(({ technician, from, to, running, open, capped }) => ({
      technician,
      from: formatInstant(from),
      to: formatInstant(to),
      targets: running,
      open,
      capped,
    })),
    lines: lines.map((line) => ({
      ...line,
      day: formatDay(line.day),
      cost: line.cost === null ? null : formatCents(line.cost),
    })),
    attendance: attendance.map((each) => ({ ...each, day: formatDay(each.day) })),
    looseEnds: ledger.looseEnds.flatMap(writeLooseEnd).sort(
      by(
        ({ kind }) => kind,
        ({ technician }) => technician,
        ({ at }) => at,
      ),
    ),
  };
}

function writeLooseEnd({ kind, technician, entries, from, to, day, seconds }: LooseEnd) {
  const fromText = from === undefined ? '' : formatInstant(from);
  const dayText = day === undefined ? '' : formatDay(day);
  const named = (at: string) => [{ kind, technician: technician ?? '', at }];
  switch (kind) {
    case 'double-shift-in':
    case 'shift-out-without-in':
    case 'stop-without-start':
      return named(entries[0] ?? '');
    case 'forgotten-stop':
    case 'forgotten-shift-out':
    case 'long-break':
      return named(fromText);
    case 'gap':
      return named(`${fromText} ${to === undefined ? '' : formatInstant(to)}`);
    case 'work-outside-shift':
      return named(`${dayText} ${seconds ?? 0}`);
    case 'no-rate':
      return named(dayText);
    case 'cost-changed':
    case 'not-released':
    case 'after-done':
    case 'clock':
    case 'clock-jump':
    case 'unknown-code':
    case 'refused-entry':
    case 'badge-hop':
    case 'badge-pair':
      return [];
  }
}

function writeComparisons(scenario: Scenario, ledger: Ledger) {
  const linesByTarget = new Map<TargetId, LaborLine[]>();
  for (const line of ledger.lines) {
    const own = linesByTarget.get(line.target);
    if (own) own.push(line);
    else linesByTarget.set(line.target, [line]);
  }
  const standardRates = new Map(scenario.grades.map(({ id, standardRate }) => [id, standardRate]));
  const orders = scenario.workOrders.map(({ id, quantity, estimateIncludes = WORK_TYPES, tasks }) => ({
    workOrder: id,
    tasks: tasks.map((task) => {
      const estimatedSeconds = estimateSeconds(task.estimate, quantity);
      const isFinished = ledger.finished.has(task.id);
      const comparison = compareTask(
        {
          estimatedSeconds,
          // parseScenario has refused tasks of unknown grades.
          estimatedCost: estimateCost(estimatedSeconds, standardRates.get(task.grade) ?? toRate(0)),
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
