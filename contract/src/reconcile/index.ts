export {
  answeredSchema,
  chosenAnswerSchema,
  effectSchema,
  looseEndsSchema,
  undoSchema,
} from './reconcile.ts';
export type { ChosenAnswer, EffectJson, LooseEndsJson } from './reconcile.ts';
