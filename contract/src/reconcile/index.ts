export {
  acceptSchema,
  answeredSchema,
  chosenAnswerSchema,
  effectSchema,
  looseEndsSchema,
  undoSchema,
  withdrawSchema,
} from './reconcile.ts';
export type { Acceptance, ChosenAnswer, EffectJson, LooseEndsJson } from './reconcile.ts';
