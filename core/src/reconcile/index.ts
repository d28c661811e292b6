export { looseEndFacts, looseEndKey, withoutAccepted } from './accepted.ts';
export { ANSWER_REASONS, findLikelyAnswers } from './likelyAnswers.ts';
export type { AnswerReason, Change, LikelyAnswer, Surroundings } from './likelyAnswers.ts';
export { undoOf } from './undo.ts';
