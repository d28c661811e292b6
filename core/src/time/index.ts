export { cutAtDays } from './cutAtDays.ts';
export { dated, inForceAt, withChange, withoutChange } from './dated.ts';
export type { Dated } from './dated.ts';
export {
  EVER,
  addDays,
  addMonths,
  daysFrom,
  calendarYear,
  earliestOf,
  firstDayOfYear,
  formatDay,
  latestOf,
  mondayOf,
  parseDay,
  toDay,
  weekOf,
  weekdayOf,
} from './day.ts';
export type { LocalDay } from './day.ts';
export { formatHours, formatLeft, isSaidLength, parseHours, HOURS_STYLES } from './hours.ts';
export type { HoursStyle } from './hours.ts';
export { formatInstant, parseInstant, toInstant } from './instant.ts';
export type { Instant } from './instant.ts';
export { PERIODS, monthOf, movePeriod, periodAround } from './period.ts';
export type { Days, PeriodKind } from './period.ts';
export { sumSeconds, toSeconds } from './seconds.ts';
export type { Seconds } from './seconds.ts';
export { lengthOf, merge, overlapSeconds, subtract } from './span.ts';
export type { Span } from './span.ts';
export { atWallClock, nextAtClock, parseClock } from './wallClock.ts';
export { createZone } from './zone.ts';
export type { Zone } from './zone.ts';
