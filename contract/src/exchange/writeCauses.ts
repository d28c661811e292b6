import { estimateParts, findCauses, machineSpans, standardRateOn, sumMachines } from '@wergon/core/compare';
import type { StandardFacts } from '@wergon/core/compare';
import type { LaborEntry, LaborLine, Ledger, TargetId } from '@wergon/core/ledger';
import { formatCents } from '@wergon/core/money';
import { toDay, toInstant } from '@wergon/core/time';
import { WORK_TYPES, estimateSeconds, withAlwaysIncluded } from '@wergon/core/work';
import { groupByTarget, standardRatesOf } from './replayFacts.ts';
import type { Scenario } from './scenario.ts';

/** What a result says of why each task costs other than estimated. */
export function writeCauses(
  scenario: Scenario,
  lines: readonly LaborLine[],
  finished: Ledger['finished'],
  entries: readonly LaborEntry[],
) {
  const linesByTarget = groupByTarget(lines);
  const standardRates = standardRatesOf(scenario);
  const standard = standardFactsOf(scenario);
  const pieces = sumCounts(entries);
  return scenario.workOrders.flatMap(({ quantity, estimateIncludes = WORK_TYPES, tasks }) =>
    tasks.map((task) => {
      const rate = standardRates(task.grade);
      const includes = withAlwaysIncluded(estimateIncludes);
      const isFinished = finished.has(task.id);
      const { difference, causes } = findCauses(
        {
          estimatedSeconds: estimateSeconds(task.estimate, quantity),
          ...estimateParts(task.estimate, includes),
          quantity,
          rate,
          includes,
          isFinished,
        },
        pieces.get(task.id) ?? { good: 0, scrap: 0 },
        (linesByTarget.get(task.id) ?? []).map((line) => ({
          ...line,
          gradeRate: standardRateOn(standard, line.technician, line.day, rate) ?? rate,
        })),
      );
      return {
        task: task.id,
        finished: isFinished,
        difference: formatCents(difference),
        causes: Object.fromEntries(
          causes.filter(({ cents }) => cents !== 0).map(({ cause, cents }) => [cause, formatCents(cents)]),
        ),
      };
    }),
  );
}

/** Grades by the records that name them; a grade's standard rate never changes in a scenario. */
const standardFactsOf = ({ technicians, grades }: Scenario): StandardFacts => ({
  gradesOf: new Map(
    technicians.map(({ id, rates }) => [
      id,
      [...rates].sort((a, b) => a.from - b.from).map(({ from, grade = null }) => ({ from, grade })),
    ]),
  ),
  gradeRates: new Map(grades.map(({ id, standardRate }) => [id, [{ from: toDay(0), rate: standardRate }]])),
});

function sumCounts(entries: readonly LaborEntry[]) {
  const sums = new Map<TargetId, { good: number; scrap: number }>();
  for (const entry of entries) {
    const target = entry.type === 'count' ? entry.targets[0] : undefined;
    if (entry.type !== 'count' || target === undefined) continue;
    const before = sums.get(target) ?? { good: 0, scrap: 0 };
    sums.set(target, { good: before.good + entry.good, scrap: before.scrap + entry.scrap });
  }
  return sums;
}

const ALL_TIME = { from: toInstant(0), to: toInstant(Number.MAX_SAFE_INTEGER) };

/** What a result says of how long each machine was used. */
export const writeMachines = (stints: Ledger['stints']) =>
  sumMachines(machineSpans(stints, ALL_TIME)).filter(
    ({ usedSeconds, downSeconds }) => usedSeconds > 0 || downSeconds > 0,
  );
