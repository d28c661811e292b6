import type { LaborLine, TargetId } from '../ledger/index.ts';
import { shareByWeight } from '../money/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** A task that was finished, with its estimate and all its labor. */
export type FinishedTask = {
  readonly target: TargetId;
  readonly estimatedSeconds: Seconds;
  readonly setupSeconds: Seconds;
  readonly includes: ReadonlySet<WorkType>;
  readonly lines: readonly Pick<LaborLine, 'technician' | 'workType' | 'seconds' | 'measuredSeconds'>[];
};

/** Estimated against used seconds of finished tasks, whole and of setup alone; their quotients are efficiencies. */
export type Efficiency = {
  readonly taskCount: number;
  readonly estimatedSeconds: Seconds;
  readonly includedSeconds: Seconds;
  readonly measuredSeconds: Seconds;
  readonly setupEstimatedSeconds: Seconds;
  readonly setupSeconds: Seconds;
};

/** What one person has earned of a task: their share of its estimate, by their share of its labor. */
export type Earned = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly earnedSeconds: Seconds;
  /** Their own included labor on it, and what of that was measured. */
  readonly ownSeconds: Seconds;
  readonly measuredSeconds: Seconds;
};

const includedOf = ({ lines, includes }: FinishedTask) =>
  lines.filter(({ workType }) => includes.has(workType));
const secondsOf = (lines: readonly { readonly seconds: Seconds }[]) =>
  lines.reduce((sum, { seconds }) => sum + seconds, 0);

/** Whether a task says anything of how well it was estimated: it has an estimate, and labor that belongs to it. */
const isJudged = (task: FinishedTask): boolean =>
  task.estimatedSeconds > 0 && secondsOf(includedOf(task)) > 0;

/** How finished tasks held their estimates. Those without an estimate or without labor do not count.
 *  Source: docs/compare.md, section 4. */
export function efficiencyOf(tasks: readonly FinishedTask[]): Efficiency {
  const judged = tasks.filter(isJudged);
  const sum = (of: (task: FinishedTask) => number) =>
    toSeconds(judged.reduce((total, task) => total + of(task), 0));
  const included = (task: FinishedTask, type?: WorkType) =>
    secondsOf(includedOf(task).filter(({ workType }) => type === undefined || workType === type));
  return {
    taskCount: judged.length,
    estimatedSeconds: sum(({ estimatedSeconds }) => estimatedSeconds),
    includedSeconds: sum((task) => included(task)),
    measuredSeconds: sum((task) =>
      secondsOf(includedOf(task).map(({ measuredSeconds: seconds }) => ({ seconds }))),
    ),
    setupEstimatedSeconds: sum(({ setupSeconds }) => setupSeconds),
    setupSeconds: sum((task) => included(task, 'setup')),
  };
}

/** What everybody has earned of finished tasks: the estimate of each is shared over all who worked on it by their included
 *  seconds, by largest remainder, of equal ones the earlier by id; so shares add up to estimates.
 *  Source: docs/compare.md, section 4. */
export function earnedOf(tasks: readonly FinishedTask[]): readonly Earned[] {
  return tasks.filter(isJudged).flatMap((task) => {
    const own = new Map<TechnicianId, { seconds: number; measured: number }>();
    for (const { technician, seconds, measuredSeconds } of includedOf(task)) {
      const { seconds: before, measured } = own.get(technician) ?? { seconds: 0, measured: 0 };
      own.set(technician, { seconds: before + seconds, measured: measured + measuredSeconds });
    }
    const people = [...own].sort(([a], [b]) => (a < b ? -1 : 1));
    const shares = shareByWeight(
      task.estimatedSeconds,
      people.map(([, { seconds }]) => seconds),
    );
    return people.map(([technician, { seconds, measured }], i) => ({
      technician,
      target: task.target,
      earnedSeconds: toSeconds(shares[i] ?? 0),
      ownSeconds: toSeconds(seconds),
      measuredSeconds: toSeconds(measured),
    }));
  });
}

/** One part of another as a share, or none where there is nothing to divide by. */
export const shareOf = (part: number, whole: number): number | null => (whole === 0 ? null : part / whole);

/** Whether a figure of a person rests mostly on time that was shared or written down, so that it says little of them. */
export const isMostlyShared = ({
  ownSeconds,
  measuredSeconds,
}: Pick<Earned, 'ownSeconds' | 'measuredSeconds'>): boolean =>
  ownSeconds > 0 && measuredSeconds * 2 < ownSeconds;

/** Billed hours that are expected of somebody: so much of each day that was planned, up to today; nothing of days on which
 *  they were away or the shop was closed. Source: docs/compare.md, section 4. */
export const expectedSeconds = (
  billedADay: Seconds,
  days: readonly LocalDay[],
  today: LocalDay,
  isPlanned: (day: LocalDay) => boolean,
): Seconds => toSeconds(days.filter((day) => day <= today && isPlanned(day)).length * billedADay);
