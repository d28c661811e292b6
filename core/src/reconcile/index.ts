export { isAnsweredByRule, looseEndFacts, looseEndKey, withoutAccepted } from './accepted.ts';
export { APPROVAL_STATES, approvalFacts, approvalState, awaitsApproval, isException } from './approval.ts';
export type { ApprovalState, SeenDay } from './approval.ts';
export { ANSWER_REASONS, findLikelyAnswers } from './likelyAnswers.ts';
export type { AnswerReason, Change, LikelyAnswer, Surroundings } from './likelyAnswers.ts';
export { planEdit } from './planEdit.ts';
export { EDIT_ERROR_CODES } from './tapeEdit.ts';
export type { EditErrorCode, TapeEdit, TapeGround, TapePiece, TimedEntry } from './tapeEdit.ts';
export { undoOf } from './undo.ts';
