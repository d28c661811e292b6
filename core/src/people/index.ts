export { costRateOn, costRatesOf, explainRate } from './costRate.ts';
export type { BurdenItem, CostRate, ExplainedRate, RateRecord, TechnicianId } from './costRate.ts';
export { PATTERN_ERROR_CODES, checkPattern, plannedMinutes, plannedOn } from './pattern.ts';
export type { PatternErrorCode, PatternWeek, PlannedDay, ShiftPlan, WorkPattern } from './pattern.ts';
