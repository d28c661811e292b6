import type { TaskFields } from '@wergon/contract/work';
import { formatDecimal, parseDecimal, toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { toSeconds } from '@wergon/core/time';
import type { Seconds } from '@wergon/core/time';
import type { EstimateHours } from '@wergon/core/work';
import type { HoursText, Task } from './entities.ts';

/** The parts of an estimate that are entered in hours. */
export const HOURS = ['setupHours', 'runHours', 'runHoursPerPiece'] as const;

/** Hours as they are kept: what was entered, in plain decimals. */
export const writeHours = (task: TaskFields): HoursText =>
  Object.fromEntries(
    HOURS.flatMap((field) => {
      const given = task[field];
      return given ? [[field, formatDecimal(given)]] : [];
    }),
  );

/** The same read again. */
export const readHours = (hours: HoursText | null | undefined): EstimateHours =>
  Object.fromEntries(
    HOURS.flatMap((field) => {
      const parsed = parseDecimal(hours?.[field] ?? '');
      return parsed.ok ? [[field, parsed.value]] : [];
    }),
  );

/** What a task was estimated at when it was first estimated. */
export const firstEstimateOf = ({
  estimate,
  originalCost,
  estimatedCost,
}: Pick<Task, 'estimate' | 'originalCost' | 'estimatedCost'>): {
  readonly estimatedSeconds: Seconds;
  readonly estimatedCost: Cents;
} => ({
  estimatedSeconds: estimate[0]?.value ?? toSeconds(0),
  estimatedCost: toCents(originalCost ?? estimatedCost),
});
