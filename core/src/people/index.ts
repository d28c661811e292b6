export { costRateOn, costRatesOf, explainRate, isKeepable, premiumRatesOf } from './costRate.ts';
export type { CostRate, RateRecord, TechnicianId } from './costRate.ts';
export { checkPattern, plannedOn, plannedSeconds, plannedSpan } from './pattern.ts';
export type { PatternWeek, PlannedDay, ShiftPlan, WorkPattern } from './pattern.ts';
