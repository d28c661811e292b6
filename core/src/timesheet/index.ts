export { findFullDays } from './fullDays.ts';
export { joinRows, secondsOfCell, secondsOfCells, weekRows } from './weekRows.ts';
export type { EnteredLength, WeekCell, WeekRow } from './weekRows.ts';
