import type { CostRate, TechnicianId } from '../people/index.ts';
import type { Dated, Seconds, Zone } from '../time/index.ts';
import type { TargetId } from './entries.ts';

/** The shop's rules for time that does not add up. */
export type Policy = {
  readonly split: 'estimate' | 'equal';
  readonly maxStintHours: number;
  readonly maxShiftHours: number;
  readonly gapMinutes: number;
  readonly maxBreakMinutes: number;
  /** The share of its estimate, in percent, from which a task is near it. */
  readonly warnAt: number;
};

/** What holds where a shop has said nothing. Source: docs/ledger.md, sections 4, 5 and 7. */
export const DEFAULT_POLICY: Policy = {
  split: 'estimate',
  maxStintHours: 12,
  maxShiftHours: 16,
  gapMinutes: 5,
  maxBreakMinutes: 60,
  warnAt: 80,
};

/** What the ledger must know of a target: a task's estimate and whether its order was released, or whether an
 *  activity counts as attended time and whether it is paid; absent, it is. */
export type TargetFacts =
  | { readonly kind: 'task'; readonly estimate: Dated<Seconds>; readonly isReleased: Dated<boolean> }
  | { readonly kind: 'activity'; readonly counts: Dated<boolean>; readonly isPaid?: boolean };

/** Whether time on a target is paid: all but that on activities which are said not to be. */
export const isPaidTarget = ({ targets }: Pick<LedgerFacts, 'targets'>, target: TargetId): boolean => {
  const known = targets.get(target);
  return known?.kind !== 'activity' || known.isPaid !== false;
};

/** Everything but the journal that the ledger reads; dated, because a stint is judged by what was in force at its
 *  start, and rates by the local day. Source: docs/ledger.md, section 9. */
export type LedgerFacts = {
  readonly zone: Zone;
  readonly policy: Dated<Policy>;
  readonly targets: ReadonlyMap<TargetId, TargetFacts>;
  readonly costRates: ReadonlyMap<TechnicianId, readonly CostRate[]>;
};
