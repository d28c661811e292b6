export { approvalsSchema, approveSchema, unapproveSchema } from './approval.ts';
export type { ApprovalsJson } from './approval.ts';
export { unapprovedOrderSchema, unapprovedWorkSchema } from './unapproved.ts';
