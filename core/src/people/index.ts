export { costRateOn, costRatesOf } from './costRate.ts';
export type { BurdenItem, CostRate, RateRecord, TechnicianId } from './costRate.ts';
