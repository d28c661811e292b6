export { accountedSchema } from './accounted.ts';
export type { AccountedJson } from './accounted.ts';
export { approvalsSchema, approveSchema, unapproveSchema } from './approval.ts';
export type { ApprovalsJson } from './approval.ts';
export {
  draftFieldsSchema,
  draftsSchema,
  enterHoursSchema,
  jobWeekQuery,
  jobWeekSchema,
  saveDraftSchema,
  weekQuery,
  weekSchema,
} from './hours.ts';
export type { DraftFields, DraftJson, EnterHours, JobWeekJson, WeekJson } from './hours.ts';
export {
  acceptSchema,
  answeredSchema,
  chosenAnswerSchema,
  chosenAnswersSchema,
  effectSchema,
  looseEndsSchema,
  undoSchema,
  withdrawSchema,
} from './reconcile.ts';
export type { Acceptance, ChosenAnswer, EffectJson, LooseEndsJson } from './reconcile.ts';
export {
  findPersonSchema,
  foundPersonSchema,
  personDayQuery,
  personDaySchema,
  presenceEditSchema,
  tapeEditSchema,
  targetsQuery,
  targetsSchema,
} from './tape.ts';
export type { PersonDayJson, PresenceEditJson, PresentJson, TapeEditJson, TargetJson } from './tape.ts';
