export { loadShiftDays } from './shiftDays.ts';
export type { ShiftDay } from './shiftDays.ts';
export { findAdjustments, isPayable, nextPeriod } from './periods.ts';
