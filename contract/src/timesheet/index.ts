export {
  draftsSchema,
  enterHoursSchema,
  jobWeekQuery,
  jobWeekSchema,
  saveDraftSchema,
  weekQuery,
  weekSchema,
} from './timesheet.ts';
export type { DraftFields, DraftJson, EnterHours, JobWeekJson, WeekJson } from './timesheet.ts';
