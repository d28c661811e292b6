import type { Allocation, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { toSeconds } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { Sql } from '../db/index.ts';

/** A part of a labor line: at which machine it was done, and for what reason; '' where nobody said. */
export type LinePart = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly machine: string;
  readonly reason: string;
  readonly measuredSeconds: Seconds;
  readonly sharedSeconds: Seconds;
};

/** Sums pieces of labor by what lines are, and by machine and reason; pieces with neither are left out. */
export function sumParts(pieces: readonly Allocation[]): readonly LinePart[] {
  const parts = new Map<string, LinePart>();
  for (const { technician, day, target, workType, machine = '', reason = '', seconds, isShared } of pieces) {
    if (machine === '' && reason === '') continue;
    const key = JSON.stringify([technician, day, target, workType, machine, reason]);
    const known = parts.get(key);
    parts.set(key, {
      ...(known ?? { technician, day, target, workType, machine, reason }),
      measuredSeconds: toSeconds((known?.measuredSeconds ?? 0) + (isShared ? 0 : seconds)),
      sharedSeconds: toSeconds((known?.sharedSeconds ?? 0) + (isShared ? seconds : 0)),
    });
  }
  return [...parts.values()];
}

/** Puts the parts of somebody's days in the place of what they were. */
export function keepParts(
  sql: Sql,
  technician: TechnicianId,
  days: ReadonlySet<LocalDay>,
  pieces: readonly Allocation[],
): void {
  for (const day of days)
    sql.run('delete from "line_part" where "technician" = ? and "day" = ?', [technician, day]);
  sql.insert(
    'line_part',
    sumParts(pieces).map(({ workType, measuredSeconds, sharedSeconds, ...key }) => ({
      ...key,
      work_type: workType,
      measured_seconds: measuredSeconds,
      shared_seconds: sharedSeconds,
    })),
  );
}

type Row = Omit<LinePart, 'workType' | 'measuredSeconds' | 'sharedSeconds'> & {
  readonly work_type: WorkType;
  readonly measured_seconds: Seconds;
  readonly shared_seconds: Seconds;
};

/** The parts of settled lines of some days. */
export const loadParts = (sql: Sql, first: LocalDay, last: LocalDay): readonly LinePart[] =>
  sql
    .all<Row>('select * from "line_part" where "day" between ? and ?', [first, last])
    .map(({ work_type, measured_seconds, shared_seconds, ...key }) => ({
      ...key,
      workType: work_type,
      measuredSeconds: measured_seconds,
      sharedSeconds: shared_seconds,
    }));
