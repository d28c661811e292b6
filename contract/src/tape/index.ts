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
  tieSchema,
  writtenSchema,
} from './tape.ts';
export type {
  PersonDayJson,
  PresenceEditJson,
  PresentJson,
  RecordsEditJson,
  TapeEditJson,
  TargetJson,
  WrittenJson,
} from './tape.ts';
