import { toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** Seconds of labor by the kind of work. */
export type UsedByType = Readonly<Partial<Record<WorkType, Seconds>>>;

/** Seconds by kind of work with more of one kind. */
export const addUsed = (used: UsedByType, workType: WorkType, seconds: number): UsedByType => ({
  ...used,
  [workType]: toSeconds((used[workType] ?? 0) + seconds),
});
