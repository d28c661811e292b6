import type { LocalDay } from '../time/index.ts';

/** Why somebody is away. */
export const ABSENCE_KINDS = ['holiday', 'sick', 'training', 'unpaid leave', 'other'] as const;
export type AbsenceKind = (typeof ABSENCE_KINDS)[number];

/** Time off that somebody asks for, from the first day to the last. */
export type LeaveAsked = { readonly kind: AbsenceKind; readonly from: LocalDay; readonly to: LocalDay };

/** Nobody asks for more days at once. */
export const MOST_LEAVE_DAYS = 370;
