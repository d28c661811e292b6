export { costRateOn, costRatesOf, explainRate, isKeepable, premiumRatesOf } from './costRate.ts';
export type { CostRate, RateRecord, TechnicianId } from './costRate.ts';
export { checkPattern, expectedSpan, plannedOn, plannedSeconds, plannedSpan } from './pattern.ts';
export type { PatternWeek, PlannedDay, ShiftPlan, WorkPattern } from './pattern.ts';
export { ABSENCE_KINDS, MOST_LEAVE_DAYS } from './absence.ts';
export type { AbsenceKind, LeaveAsked } from './absence.ts';
