import type { Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { mountApprovals } from './approvals.ts';
import { mountUnapproved } from './unapproved.ts';

export function mountApproval(mount: Mount, context: LedgerContext): void {
  mountApprovals(mount, context);
  mountUnapproved(mount, context);
}
