export {
  acceptSchema,
  answeredSchema,
  chosenAnswersSchema,
  effectSchema,
  looseEndsSchema,
  namedDaysSchema,
  undoSchema,
  withdrawSchema,
} from './looseEnds.ts';
export type { Acceptance, ChosenAnswer, EffectJson, LooseEndsJson } from './looseEnds.ts';
