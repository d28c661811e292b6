import { groupBy } from '@wergon/core/result';
import type { ComparisonJson, LineRow } from '@wergon/contract/compare';
import { atStandardCost, compareTask, isLow } from '@wergon/core/compare';
import type { Comparison, Pieces } from '@wergon/core/compare';
import { addUsed, addSettled, emptyTimeline, allocateStint, settleAt, sumLines } from '@wergon/core/ledger';
import type { LaborState, UsedByType, LaborLine, TargetId, ToldLine } from '@wergon/core/ledger';
import { formatCents, toCents } from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { inForceAt, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { DeskWho } from '../http/index.ts';
import type { Sql } from '../db/index.ts';
import {
  costingOf,
  loadFinished,
  loadLinesOf,
  loadPieces,
  loadRunningPremiums,
  loadSetCostsOn,
  loadStates,
} from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Task, WorkOrder } from '../work/index.ts';

/** A task with its labor lines, open time included, and what they come to. */
export type TaskWithLabor = {
  readonly task: Task;
  readonly lines: readonly LaborLine[];
  readonly comparison: Comparison;
  readonly isFinished: boolean;
  readonly finishedAt: Instant | null;
  readonly peopleOn: readonly string[];
  readonly signedOut: readonly SignedOut[];
  readonly pieces: Pieces | null;
};

/** Somebody who is on a task although they have signed out: what they are charged with there runs on unseen. */
export type SignedOut = { readonly name: string; readonly at: Instant; readonly seconds: number };

/** Labor lines of some tasks as of `now`: the settled ones with open time on top, each costed once, as they may be
 *  shown to whoever asks. */
export function loadLabor(
  sql: Sql,
  facts: ShopFacts,
  tasks: readonly Task[],
  now: Instant,
  costs: Costs,
): readonly TaskWithLabor[] {
  const wanted = new Set(tasks.map(({ id }) => id));
  const byTechnician = groupBy(loadLinesOf(sql, [...wanted]), ({ technician }) => technician);
  const lines: LaborLine[] = [];
  const peopleOn = new Map<TargetId, string[]>();
  const signedOut = new Map<TargetId, SignedOut[]>();
  const states = loadStates(sql);
  const setCosts = loadSetCostsOn(sql, [...wanted]);
  const isConcerned = (technician: TechnicianId, { doing }: LaborState) =>
    byTechnician.has(technician) ||
    (doing.status === 'work' && doing.running.some(({ target }) => wanted.has(target)));
  const premiums = loadRunningPremiums(
    sql,
    facts,
    now,
    new Map([...states].filter(([technician, state]) => isConcerned(technician, state))),
  );
  for (const technician of new Set([...byTechnician.keys(), ...states.keys()])) {
    const tail = emptyTimeline();
    const stored = states.get(technician);
    const settledNow = stored && settleAt(technician, stored, now, facts.policy);
    if (settledNow) addSettled(tail, settledNow.settled);
    const open = tail.stints
      .flatMap((stint) => allocateStint(stint, facts))
      .filter(({ target }) => wanted.has(target));
    const settled = byTechnician.get(technician) ?? [];
    lines.push(
      ...sumLines(open, [], costingOf(facts, technician, setCosts, premiums.get(technician)), settled),
    );
    if (facts.hidden?.has(technician)) continue;
    const name = facts.technicians.get(technician)?.name ?? technician;
    const isCut = tail.stints.some(({ open: isOpen, capped }) => isOpen && capped);
    const doing = settledNow?.state.doing;
    for (const { target } of doing?.status === 'work' && !isCut ? doing.running : [])
      peopleOn.set(target, [...(peopleOn.get(target) ?? []), name]);
    if (doing?.status === 'work' && !isCut && !settledNow?.state.shift && open.length > 0)
      for (const out of findSignedOut(sql, technician, now))
        for (const target of new Set(open.map((piece) => piece.target))) {
          const seconds = sumSeconds(open.filter((piece) => piece.target === target));
          signedOut.set(target, [...(signedOut.get(target) ?? []), { name, at: out, seconds }]);
        }
  }
  const byTarget = groupBy(costedAs(lines, facts, costs), ({ target }) => target);
  const finished = loadFinished(sql, [...wanted]);
  const pieces = loadPieces(sql, [...wanted]);
  return tasks.map((task): TaskWithLabor => {
    const id = task.id;
    const own = byTarget.get(id) ?? [];
    const isFinished = finished.has(id);
    const includes = withAlwaysIncluded(facts.orders.get(task.order)?.includes ?? []);
    const expected = {
      ...expectedOf(task, now),
      includes,
      isFinished,
    };
    return {
      task,
      lines: own,
      isFinished,
      finishedAt: finished.get(id) ?? null,
      comparison: compareTask(expected, own),
      peopleOn: peopleOn.get(id) ?? [],
      signedOut: signedOut.get(id) ?? [],
      pieces: pieces.get(id) ?? null,
    };
  });
}

/** What a task is expected to take; what was offered and not accepted was never to be done. */
export const expectedOf = ({ isAccepted, estimate, estimatedCost }: Task, now: Instant) => ({
  estimatedSeconds: isAccepted ? inForceAt(estimate, now) : toSeconds(0),
  estimatedCost: toCents(isAccepted ? estimatedCost : 0),
});

/** What fills a yardstick: the work types that the estimate includes. */
export function usedOf(tasks: readonly Pick<TaskWithLabor, 'lines'>[], order: WorkOrder): UsedByType {
  const includes = withAlwaysIncluded(order.includes);
  return tasks
    .flatMap(({ lines }) => lines)
    .filter(({ workType }) => includes.has(workType))
    .reduce<UsedByType>((used, { workType, seconds }) => addUsed(used, workType, seconds), {});
}

/** What labor is shown at: what it really cost, or, to whoever may not see rates, standard cost. */
export type Costs = ComparisonJson['costs'];

export const costsFor = (who: DeskWho): Costs => (who.rights.has('rates.see') ? 'actual' : 'standard');

/** A comparison as it is told; `warnAt` is the share in percent from which an estimate runs low. */
export function writeComparison(comparison: Comparison, costs: Costs, warnAt: number): ComparisonJson {
  const { actualSeconds, remainingSeconds, overSeconds } = comparison;
  return {
    ...comparison,
    isLow: isLow({ used: actualSeconds, left: remainingSeconds, over: overSeconds }, warnAt),
    estimatedCost: formatCents(comparison.estimatedCost),
    actualCost: formatCents(comparison.actualCost),
    outsideCost: formatCents(comparison.outsideCost),
    costDifference: formatCents(comparison.costDifference),
    costs,
  };
}

/** The share of an estimate from which it runs low, as the shop has it now. */
export const warnAtOf = ({ policy }: ShopFacts, now: Instant): number => inForceAt(policy, now).warnAt;

/** The rate that a task keeps from its estimate. */
const keptRateOf =
  (facts: ShopFacts) =>
  (target: TargetId): Rate | undefined =>
    facts.tasks.get(target)?.standardRate;

/** Lines as they may be shown: with what they really cost, or at standard cost. */
export const costedAs = <Line extends Parameters<typeof atStandardCost>[0][number]>(
  lines: readonly Line[],
  facts: ShopFacts,
  costs: Costs,
): readonly Line[] => (costs === 'actual' ? lines : atStandardCost(lines, facts, keptRateOf(facts)));

export function writeLine(facts: ShopFacts, line: ToldLine, costs: Costs, set: LineRow['set']): LineRow {
  const { technician, workType, day, seconds, measuredSeconds, sharedSeconds, enteredSeconds } = line;
  const { cost, premium = 0, trueUp = 0 } = line;
  return {
    technician,
    name: technician === null ? '' : (facts.technicians.get(technician)?.name ?? technician),
    workType,
    day,
    seconds,
    measuredSeconds,
    sharedSeconds,
    enteredSeconds,
    cost: cost === null ? null : formatCents(cost),
    costs,
    parts:
      cost === null || (premium === 0 && trueUp === 0)
        ? null
        : {
            straight: formatCents(toCents(cost - premium - trueUp)),
            premium: formatCents(toCents(premium)),
            trueUp: formatCents(toCents(trueUp)),
          },
    set,
  };
}

/** How long after signing out it is said of somebody that they are on work all the same, in seconds. */
const SAID_SECONDS = 86_400;

/** When somebody last signed out, if that was lately. */
const findSignedOut = (sql: Sql, technician: TechnicianId, now: Instant): Instant[] =>
  sql
    .all<{ at: Instant | null }>(
      `select max("to_at") as "at" from "presence" where "technician" = ? and "kind" = 'shift' and "to_at" > ?
         and not "capped"`,
      [technician, now - SAID_SECONDS],
    )
    .flatMap(({ at }) => at ?? []);
