import type { AmendSet, HoursEntry, TargetId } from '../ledger/index.ts';
import type { Change } from '../loose-ends/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** A length of one person's time on a day, as it is written down. */
export type HoursFields = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly day: LocalDay;
  readonly seconds: Seconds;
};

/** Writes a length down; of 0 seconds there is nothing to write. Source: docs/ledger.md, section 3. */
export function addHours({ technician, target, workType, day, seconds }: HoursFields): readonly Change[] {
  const kind = workType === 'run' ? {} : { workType };
  return seconds === 0 ? [] : [{ type: 'hours', technician, targets: [target], day, seconds, ...kind }];
}

/** Makes of a length that is written down what it should be, naming only what is another; of 0 seconds it never was. */
export function amendHours(entry: HoursEntry, to: Partial<HoursFields>): readonly Change[] {
  const { technician = entry.technician, day = entry.day, seconds = entry.seconds } = to;
  const { target = entry.targets[0], workType = entry.workType ?? 'run' } = to;
  if (seconds === 0) return [{ type: 'void', target: entry.id }];
  const set: AmendSet = {
    ...(entry.technician === technician ? {} : { technician }),
    ...(entry.seconds === seconds ? {} : { seconds }),
    ...(entry.day === day ? {} : { day }),
    ...(target === undefined || entry.targets[0] === target ? {} : { targets: [target] }),
    ...((entry.workType ?? 'run') === workType ? {} : { workType: workType === 'run' ? null : workType }),
  };
  return Object.keys(set).length === 0 ? [] : [{ type: 'amend', target: entry.id, set }];
}
