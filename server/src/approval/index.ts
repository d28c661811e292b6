export { findSeen } from './approvals.ts';
export { isPayable } from './payable.ts';
export { mountApproval } from './routes.ts';
export { unapprovedByPerson } from './unapproved.ts';
