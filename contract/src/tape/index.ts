export {
  findPersonSchema,
  foundPersonSchema,
  personDayQuery,
  personDaySchema,
  presenceEditSchema,
  recordsEditSchema,
  tapeEditSchema,
  targetsQuery,
  targetsSchema,
} from './tape.ts';
export type {
  PersonDayJson,
  PresenceEditJson,
  PresentJson,
  RecordsEditJson,
  TapeEditJson,
  TargetJson,
} from './tape.ts';
