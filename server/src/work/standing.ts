import type { ComparisonJson, LineRow } from '@wergon/contract/work';
import { compareTask, sumComparisons } from '@wergon/core/compare';
import type { Comparison } from '@wergon/core/compare';
import { addUsed } from '@wergon/core/floor';
import type { UsedByType } from '@wergon/core/floor';
import { collect, noStrands, piecesOf, settleAt, sumLines } from '@wergon/core/ledger';
import type { LaborLine, LaborState, TargetId } from '@wergon/core/ledger';
import { formatCents, toCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { formatDay, inForceAt, toSeconds } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { Sql } from '../db/index.ts';
import { loadFinished, loadLinesOf, loadStates } from '../ledger/strands.ts';
import type { ShopFacts } from '../shop/facts.ts';
import type { Task, WorkOrder } from './entities.ts';

/** A task with its labor lines, open time included, and what they come to. */
export type TaskWithLabor = {
  readonly task: Task;
  readonly lines: readonly LaborLine[];
  readonly comparison: Comparison;
  readonly isFinished: boolean;
  readonly peopleOn: readonly string[];
};

/** Labor lines of some tasks as of `now`: the settled ones with open time on top, each costed once. */
export function loadLabor(
  sql: Sql,
  facts: ShopFacts,
  tasks: readonly Task[],
  now: Instant,
): readonly TaskWithLabor[] {
  const wanted = new Set(tasks.map(({ id }) => id as TargetId));
  const byTechnician = new Map<TechnicianId, LaborLine[]>();
  for (const line of loadLinesOf(sql, [...wanted])) {
    const own = byTechnician.get(line.technician);
    if (own) own.push(line);
    else byTechnician.set(line.technician, [line]);
  }
  const lines: LaborLine[] = [];
  const peopleOn = new Map<TargetId, string[]>();
  const states = loadStates(sql);
  for (const technician of new Set([...byTechnician.keys(), ...states.keys()])) {
    const tail = noStrands();
    const stored = states.get(technician);
    const settledNow = stored && settleAt(technician, stored, now, facts.policy);
    if (settledNow) collect(tail, settledNow.settled);
    const open = tail.stints
      .flatMap((stint) => piecesOf(stint, facts))
      .filter(({ target }) => wanted.has(target));
    const settled = byTechnician.get(technician) ?? [];
    lines.push(...sumLines(open, [], facts.costRates.get(technician) ?? [], settled));
    const name = facts.technicians.get(technician)?.name ?? technician;
    const isCut = tail.stints.some(({ open: isOpen, capped }) => isOpen && capped);
    const doing = settledNow?.state.doing;
    for (const { target } of doing?.status === 'work' && !isCut ? doing.running : [])
      peopleOn.set(target, [...(peopleOn.get(target) ?? []), name]);
  }
  const byTarget = new Map<TargetId, LaborLine[]>();
  for (const line of lines) {
    const own = byTarget.get(line.target);
    if (own) own.push(line);
    else byTarget.set(line.target, [line]);
  }
  const finished = loadFinished(sql, [...wanted]);
  return tasks.map((task): TaskWithLabor => {
    const id = task.id as TargetId;
    const own = byTarget.get(id) ?? [];
    const isFinished = finished.has(id);
    const includes = withAlwaysIncluded(facts.orders.get(task.order)?.includes ?? []);
    const expected = {
      // What was offered and not accepted was never to be done.
      estimatedSeconds: task.isAccepted ? inForceAt(task.estimate, now) : toSeconds(0),
      estimatedCost: toCents(task.isAccepted ? task.estimatedCost : 0),
      includes,
      isFinished,
    };
    return {
      task,
      lines: own,
      isFinished,
      comparison: compareTask(expected, own),
      peopleOn: peopleOn.get(id) ?? [],
    };
  });
}

/** What fills a yardstick: the work types that the estimate includes. */
export function usedOf(tasks: readonly Pick<TaskWithLabor, 'lines'>[], order: WorkOrder): UsedByType {
  const includes = withAlwaysIncluded(order.includes);
  return tasks
    .flatMap(({ lines }) => lines)
    .filter(({ workType }) => includes.has(workType))
    .reduce<UsedByType>((used, { workType, seconds }) => addUsed(used, workType, seconds), {});
}

/** Whether a total gives one person's wage away: all its labor is his. */
const isOnePersons = (lines: readonly LaborLine[]): boolean =>
  new Set(lines.map(({ technician }) => technician)).size === 1;

/** Whether a task's costs may be shown to somebody who may not see rates. Both parts of a cost must come from nobody
 *  or from more than one person, because either can be taken from the sum. */
function mayShowCosts(lines: readonly LaborLine[], includes: ReadonlySet<string>): boolean {
  const inside = lines.filter(({ workType }) => includes.has(workType));
  const outside = lines.filter(({ workType }) => !includes.has(workType));
  return !isOnePersons(inside) && !isOnePersons(outside);
}

export function writeComparison(comparison: Comparison, isShown: boolean): ComparisonJson {
  return {
    ...comparison,
    estimatedCost: formatCents(comparison.estimatedCost),
    actualCost: isShown ? formatCents(comparison.actualCost) : null,
    outsideCost: isShown ? formatCents(comparison.outsideCost) : null,
    costDifference: isShown ? formatCents(comparison.costDifference) : null,
    costs: isShown ? 'shown' : 'private',
  };
}

/** Writes an order's tasks and their sum so that no figure, nor the difference of two, is one person's cost. */
export function writeLabor(order: WorkOrder, tasks: readonly TaskWithLabor[], seesRates: boolean) {
  const includes = withAlwaysIncluded(order.includes);
  const hidden = seesRates ? [] : tasks.filter(({ lines }) => !mayShowCosts(lines, includes));
  const linesOf = (some: readonly TaskWithLabor[]) => some.flatMap(({ lines }) => lines);
  // What is hidden could be had as the sum less what is shown, so it must not be one person's either.
  const isSumShown =
    seesRates ||
    (mayShowCosts(linesOf(tasks), includes) &&
      (hidden.length === 0 || mayShowCosts(linesOf(hidden), includes)));
  return {
    sum: writeComparison(sumComparisons(tasks.map(({ comparison }) => comparison)), isSumShown),
    tasks: tasks.map((each) => ({ ...each, json: writeComparison(each.comparison, !hidden.includes(each)) })),
  };
}

/** A labor line; its cost is one person's, so it is shown only with the right to see rates. */
export function writeLine(facts: ShopFacts, line: LaborLine, seesRates: boolean): LineRow {
  const { technician, workType, day, seconds, measuredSeconds, sharedSeconds, enteredSeconds, cost } = line;
  return {
    technician,
    name: facts.technicians.get(technician)?.name ?? technician,
    workType,
    day: formatDay(day),
    seconds,
    measuredSeconds,
    sharedSeconds,
    enteredSeconds,
    cost: seesRates && cost !== null ? formatCents(cost) : null,
    costs: !seesRates ? 'private' : cost === null ? 'no-rate' : 'shown',
  };
}

/** Who is on tasks of an order after the last entry, and on which. */
export function peopleOnOrder(
  facts: ShopFacts,
  states: ReadonlyMap<TechnicianId, LaborState>,
  order: string,
): { readonly technician: TechnicianId; readonly targets: TargetId[] }[] {
  return [...states].flatMap(([technician, { doing }]) => {
    const running = doing.status === 'work' ? doing.running : [];
    const targets = running.map(({ target }) => target).filter((id) => facts.tasks.get(id)?.order === order);
    return targets.length > 0 ? [{ technician, targets }] : [];
  });
}

/** Whether the journal has ever named a task; such a task stays, so that no entry points nowhere. */
export const hasLabor = (sql: Sql, task: string): boolean =>
  sql.all(`select 1 from "journal" where "stream" = 'labor' and instr("body", ?) > 0 limit 1`, [
    JSON.stringify(task),
  ]).length > 0;
