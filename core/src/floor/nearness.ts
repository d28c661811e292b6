import { isPastEstimate, nearFrom, reachedAt } from '../compare/index.ts';
import type { Allocation, Running } from '../ledger/index.ts';
import { inForceAt, sumSeconds } from '../time/index.ts';
import type { Instant } from '../time/index.ts';
import type { Board } from './board.ts';
import { jobsOnBoard } from './jobs.ts';
import type { JobTask } from './jobs.ts';
import { openAllocations } from './standing.ts';
import type { TaskStanding } from './standing.ts';

/** What is said of a task while it goes on: it is near its estimate, or past it. `since` when, where what runs now brought
 *  it there; what came to that before is only said to be there. */
export type Nearness = { readonly isPast: boolean; readonly since: Instant | undefined };

/** Whether a task is near its estimate or past it by the shop's rules, and since when; absent where there is time enough.
 *  Source: docs/compare.md, section 7. */
export const nearnessOf = (board: Board, standing: TaskStanding, now: Instant): Nearness | undefined =>
  nearnessAmong(board, standing, now, () => openOn(board, now, ({ target }) => target === standing.task.id));

/** What runs now of everybody who is on something that is asked for. */
const openOn = (board: Board, now: Instant, isAsked: (running: Running) => boolean): readonly Allocation[] =>
  [...board.technicians.values()]
    .filter(({ state: { doing } }) => doing.status === 'work' && doing.running.some(isAsked))
    .flatMap((technician) => openAllocations(board, technician, now));

function nearnessAmong(
  board: Board,
  { task, order, comparison }: TaskStanding,
  now: Instant,
  openNow: () => readonly Allocation[],
): Nearness | undefined {
  const { usedSeconds, estimatedSeconds, overSeconds, isLow } = comparison;
  const isPast = isPastEstimate(overSeconds);
  if (estimatedSeconds === null || task.isFinished || (!isPast && !isLow)) return undefined;
  const wanted = nearFrom(estimatedSeconds, inForceAt(board.facts.policy, now).warnAt, isPast);
  const own = openNow().filter(
    ({ target, workType }) => target === task.id && (!order || order.includes.has(workType)),
  );
  const before = usedSeconds - sumSeconds(own);
  const since = before >= wanted ? null : reachedAt(wanted, before, own);
  return { isPast, since: since ?? undefined };
}

/** A task near its estimate or past it, with who is on it now. */
export type NearTask = JobTask & { readonly near: Nearness };

/** All tasks on the floor that are near their estimates or past them, most over first. */
export function nearTasks(board: Board, now: Instant): readonly NearTask[] {
  const open = openOn(board, now, () => true);
  const beyond = ({ comparison: { usedSeconds, estimatedSeconds } }: NearTask) =>
    usedSeconds - (estimatedSeconds ?? 0);
  return jobsOnBoard(board, now)
    .flatMap(({ tasks }) => tasks)
    .flatMap((task) => {
      const near = nearnessAmong(board, task, now, () => open);
      return near ? [{ ...task, near }] : [];
    })
    .sort((a, b) => beyond(b) - beyond(a));
}
