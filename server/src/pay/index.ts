export { loadShiftDays } from './shiftDays.ts';
export type { ShiftDay } from './shiftDays.ts';
export { closingOf, findOwed, nextPeriod } from './periods.ts';
