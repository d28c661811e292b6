export { APPROVAL_STATES, approvalFacts, approvalState, awaitsApproval, isException } from './approval.ts';
export type { ApprovalState } from './approval.ts';
