export { findFullDays } from './fullDays.ts';
export { dayParts, planSlips } from './planSlips.ts';
export type { SlipRow } from './planSlips.ts';
export { joinRows, secondsOfCell, secondsOfCells, weekRows } from './weekRows.ts';
export type { EnteredLength, WeekCell, WeekRow } from './weekRows.ts';
