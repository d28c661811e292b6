export { isAnsweredByRule, looseEndFacts, looseEndKey, withoutAccepted } from './accepted.ts';
export { findBadgeEnds, findUnknownCodes } from './floorEnds.ts';
export type { FloorEnd } from './floorEnds.ts';
export { ANSWER_REASONS, canBeAnswered, findLikelyAnswers } from './likelyAnswers.ts';
export type { AnswerReason, Change, LikelyAnswer, Surroundings } from './likelyAnswers.ts';
export { undoOf } from './undo.ts';
