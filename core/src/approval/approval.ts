import type { ShiftLine } from '../ledger/index.ts';
import type { Seconds } from '../time/index.ts';

/** Whether somebody has said that a person's shift day is right, and whether it is still what they saw. */
export const APPROVAL_STATES = ['open', 'approved', 'changed'] as const;
export type ApprovalState = (typeof APPROVAL_STATES)[number];

/** The facts of one person's shift day on which somebody decides: how long they were there, and what for, line by line,
 *  with its cost. Text that differs when they do. Source: docs/ledger.md, section 8, decisions. */
export function approvalFacts(lines: readonly ShiftLine[], attended: Seconds | number): string {
  const parts = lines.map(
    ({ day, target, workType, seconds, cost, premium = 0 }) =>
      `${day} ${target} ${workType} ${seconds} ${cost === null ? 'none' : cost - premium}`,
  );
  return [`attended ${attended}`, ...parts.sort()].join('\n');
}

/** How an approval stands to the facts as they are now; `seen` is absent where nobody has approved. */
export const approvalState = (seen: string | undefined, facts: string): ApprovalState =>
  seen === undefined ? 'open' : seen === facts ? 'approved' : 'changed';

/** What whoever approves sees of a person's shift day. */
export type SeenDay = {
  readonly state: ApprovalState;
  /** The shift, or work on it, still goes on. */
  readonly isOpen: boolean;
  readonly looseEnds: number;
  readonly attendedSeconds: number;
  readonly chargedSeconds: number;
};

/** Whether a shift day is over and not approved as it is now. */
export const awaitsApproval = ({ state, isOpen }: SeenDay): boolean => state !== 'approved' && !isOpen;

/** Whether somebody must look at a waiting day before it is approved: something of it is not decided, it has changed
 *  since it was approved, or more was charged than attended. Source: docs/reconcile.md, approval. */
export const isException = (day: SeenDay): boolean =>
  awaitsApproval(day) &&
  (day.looseEnds > 0 || day.state === 'changed' || day.chargedSeconds > day.attendedSeconds);
