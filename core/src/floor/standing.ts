import { allocateStint, settleAt, addUsed } from '../ledger/index.ts';
import type { LaborState, LedgerFacts, Allocation, Settled, TargetId, UsedByType } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { isLow } from '../compare/index.ts';
import { inForceAt, toSeconds } from '../time/index.ts';
import type { Instant, Seconds } from '../time/index.ts';
import { WORK_TYPES } from '../work/index.ts';
import type { Board, BoardActivity, BoardOrder, BoardTask, BoardTechnician } from './board.ts';

/** The pieces of the stints among settled things. */
export const allocationsIn = (settled: readonly Settled[], facts: LedgerFacts): Allocation[] =>
  settled.flatMap((item) => (item.kind === 'stint' ? allocateStint(item.stint, facts) : []));

/** A technician's labor that is still running at `now`, divided over its targets. */
export const openAllocations = (board: Board, technician: BoardTechnician, now: Instant): Allocation[] =>
  allocationsIn(settleAt(technician.id, technician.state, now, board.facts.policy).settled, board.facts);

/** Seconds used on a task by kind of work, with everything that runs on it now, whoever does it. */
export function usedAt(board: Board, task: BoardTask, now: Instant): UsedByType {
  let used = task.used;
  for (const technician of board.technicians.values()) {
    const { doing } = technician.state;
    if (doing.status !== 'work' || !doing.running.some(({ target }) => target === task.id)) continue;
    for (const piece of openAllocations(board, technician, now))
      if (piece.target === task.id) used = addUsed(used, piece.workType, piece.seconds);
  }
  return used;
}

/** A technician's state as it stands at `now`, with a shift that nobody ended ended by the rule. */
export const stateAt = (board: Board, technician: BoardTechnician, now: Instant): LaborState =>
  settleAt(technician.id, technician.state, now, board.facts.policy).state;

/** Used against estimated hours of a task; `left` and `over` are `null` without an estimate. */
export type UsedComparison = {
  readonly usedSeconds: Seconds;
  readonly estimatedSeconds: Seconds | null;
  readonly leftSeconds: Seconds | null;
  readonly overSeconds: Seconds | null;
  /** Little of the estimate is left, by the shop's rules. */
  readonly isLow: boolean;
};

/** A task and how much of its estimate is used, of the work types that its order's estimate includes. */
export type TaskStanding = {
  readonly kind: 'task';
  readonly task: BoardTask;
  readonly order: BoardOrder | undefined;
  readonly used: UsedByType;
  readonly comparison: UsedComparison;
};
export type TargetStanding = TaskStanding | { readonly kind: 'activity'; readonly activity: BoardActivity };

/** How a task or an activity stands at `now`; absent for one the board does not know.
 *  Source: docs/ledger.md, section 6, compare. */
export function standingOf(board: Board, id: TargetId, now: Instant): TargetStanding | undefined {
  const target = board.targets.get(id);
  if (target?.kind !== 'task') return target && { kind: 'activity', activity: target };
  const warnAt = inForceAt(board.facts.policy, now).warnAt;
  return standTask(target, board.orders.get(target.order), usedAt(board, target, now), warnAt);
}

/** How a task stands that has used so much of each kind of work. */
export function standTask(
  target: BoardTask,
  order: BoardOrder | undefined,
  all: UsedByType,
  warnAt: number,
): TaskStanding {
  const used = Object.fromEntries(
    WORK_TYPES.filter((workType) => all[workType] && (!order || order.includes.has(workType))).map(
      (workType) => [workType, all[workType]],
    ),
  );
  return {
    kind: 'task',
    task: target,
    order,
    used,
    comparison: compareUsed(target.estimatedSeconds, used, warnAt),
  };
}

function compareUsed(estimatedSeconds: Seconds | null, used: UsedByType, warnAt: number): UsedComparison {
  const usedSeconds = toSeconds(Object.values(used).reduce((sum, seconds) => sum + seconds, 0));
  const beyond = (difference: number) => toSeconds(Math.max(0, difference));
  const left = estimatedSeconds === null ? null : beyond(estimatedSeconds - usedSeconds);
  const over = estimatedSeconds === null ? null : beyond(usedSeconds - estimatedSeconds);
  return {
    usedSeconds,
    estimatedSeconds,
    leftSeconds: left,
    overSeconds: over,
    isLow: isLow({ used: usedSeconds, left, over }, warnAt),
  };
}

/** Hours used of a whole order against the sum of its tasks' estimates; `null` where nothing of it was estimated. */
export function orderStanding(
  board: Board,
  order: BoardOrder['id'],
  now: Instant,
): { readonly usedSeconds: Seconds; readonly estimatedSeconds: Seconds | null } {
  const standings = [...board.targets.values()].flatMap((target) => {
    const standing =
      target.kind === 'task' && target.order === order ? standingOf(board, target.id, now) : undefined;
    return standing?.kind === 'task' ? [standing.comparison] : [];
  });
  const isEstimated = standings.some(({ estimatedSeconds }) => estimatedSeconds !== null);
  const sum = (seconds: readonly number[]) => toSeconds(seconds.reduce((all, each) => all + each, 0));
  return {
    usedSeconds: sum(standings.map(({ usedSeconds }) => usedSeconds)),
    estimatedSeconds: isEstimated
      ? sum(standings.map(({ estimatedSeconds }) => estimatedSeconds ?? 0))
      : null,
  };
}

/** Where a person stands: on what, since when, and how much today. */
export type PersonStanding = {
  readonly name: string;
  readonly state: LaborState;
  readonly targets: readonly TargetStanding[];
  readonly todaySeconds: Seconds;
};

/** What a person sees after their badge; absent for one the board does not know. */
export function personStanding(board: Board, id: TechnicianId, now: Instant): PersonStanding | undefined {
  const technician = board.technicians.get(id);
  if (!technician) return undefined;
  const state = stateAt(board, technician, now);
  const running = state.doing.status === 'work' ? state.doing.running : [];
  const today = board.facts.zone.dayAt(now);
  const settled = technician.charged.day === today ? technician.charged.seconds : 0;
  const open = openAllocations(board, technician, now).filter(({ day }) => day === today);
  return {
    name: technician.name,
    state,
    targets: running.flatMap(({ target }) => standingOf(board, target, now) ?? []),
    todaySeconds: toSeconds(open.reduce((sum, { seconds }) => sum + seconds, settled)),
  };
}
