import { addUsed } from '../ledger/index.ts';
import type { TargetId, UsedByType } from '../ledger/index.ts';
import { inForceAt, toSeconds } from '../time/index.ts';
import type { Instant, Seconds } from '../time/index.ts';
import type { WorkOrderId } from '../work/index.ts';
import type { Board, BoardOrder } from './board.ts';
import { openAllocations, standTask, stateAt } from './standing.ts';
import type { TaskStanding } from './standing.ts';

/** A task of a job, with the names of who is on it now. */
export type JobTask = TaskStanding & { readonly on: readonly string[] };

/** An order that can be worked on, with all its tasks in their order. */
export type Job = {
  readonly order: BoardOrder;
  readonly tasks: readonly JobTask[];
  readonly usedSeconds: Seconds;
  /** `null` where nothing of it was estimated. */
  readonly estimatedSeconds: Seconds | null;
  /** Sums of its tasks: what one has left does not pay for what another is over. */
  readonly leftSeconds: Seconds;
  readonly overSeconds: Seconds;
};

/** All orders on the floor with all their tasks as they stand at `now`, most over first, then by number. What runs is
 *  looked at once for each person, so that a shop with many tasks costs no more than their number.
 *  Source: docs/ledger.md, section 6, compare. */
export function jobsOnBoard(board: Board, now: Instant): readonly Job[] {
  const running = new Map<TargetId, { used: UsedByType; readonly names: string[] }>();
  const runningOn = (target: TargetId) => {
    const known = running.get(target) ?? { used: {}, names: [] };
    running.set(target, known);
    return known;
  };
  for (const technician of board.technicians.values()) {
    for (const { target, workType, seconds } of openAllocations(board, technician, now)) {
      const own = runningOn(target);
      own.used = addUsed(own.used, workType, seconds);
    }
    const { doing } = stateAt(board, technician, now);
    for (const { target } of doing.status === 'work' ? doing.running : [])
      runningOn(target).names.push(technician.name);
  }
  const warnAt = inForceAt(board.facts.policy, now).warnAt;
  const byOrder = new Map<WorkOrderId, JobTask[]>();
  for (const target of board.targets.values()) {
    if (target.kind !== 'task') continue;
    const open = running.get(target.id);
    const used = joinUsed(target.used, open?.used ?? {});
    const task = {
      ...standTask(target, board.orders.get(target.order), used, warnAt),
      on: open?.names ?? [],
    };
    const own = byOrder.get(target.order);
    if (own) own.push(task);
    else byOrder.set(target.order, [task]);
  }
  return [...board.orders.values()]
    .filter(({ state }) => state === 'released' || state === 'on-hold')
    .map((order) => jobOf(order, byOrder.get(order.id) ?? []))
    .sort((a, b) => b.overSeconds - a.overSeconds || a.order.number.localeCompare(b.order.number));
}

const joinUsed = (settled: UsedByType, open: UsedByType): UsedByType =>
  Object.entries(open).reduce<UsedByType>(
    (used, [workType, seconds]) => addUsed(used, workType as keyof UsedByType, seconds),
    settled,
  );

function jobOf(order: BoardOrder, tasks: readonly JobTask[]): Job {
  const sum = (of: (task: JobTask) => number | null) =>
    toSeconds(tasks.reduce((all, task) => all + (of(task) ?? 0), 0));
  const isEstimated = tasks.some(({ comparison }) => comparison.estimatedSeconds !== null);
  return {
    order,
    tasks,
    usedSeconds: sum(({ comparison }) => comparison.usedSeconds),
    estimatedSeconds: isEstimated ? sum(({ comparison }) => comparison.estimatedSeconds) : null,
    leftSeconds: sum(({ comparison, task }) => (task.isFinished ? 0 : comparison.leftSeconds)),
    overSeconds: sum(({ comparison }) => comparison.overSeconds),
  };
}
