import type { LocalDay, Seconds } from '../time/index.ts';

/** Why somebody is away. */
export const ABSENCE_KINDS = ['holiday', 'sick', 'training', 'unpaid leave', 'other'] as const;
export type AbsenceKind = (typeof ABSENCE_KINDS)[number];

/** Time off that somebody asks for, from the first day to the last. */
export type LeaveAsked = {
  readonly kind: AbsenceKind;
  readonly from: LocalDay;
  readonly to: LocalDay;
  /** Of each day; `null`, or absent in what was recorded before it could be said, for all that is planned of it. */
  readonly seconds?: Seconds | null | undefined;
};

/** Nobody asks for more days at once. */
export const MOST_LEAVE_DAYS = 370;
