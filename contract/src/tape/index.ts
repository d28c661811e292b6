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
