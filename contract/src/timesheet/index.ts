export {
  draftFieldsSchema,
  draftsSchema,
  enterHoursSchema,
  jobWeekQuery,
  jobWeekSchema,
  recordSlipsSchema,
  saveDraftSchema,
  weekQuery,
  weekSchema,
} from './timesheet.ts';
export type { DraftFields, DraftJson, EnterHours, JobWeekJson, RecordSlips, WeekJson } from './timesheet.ts';
