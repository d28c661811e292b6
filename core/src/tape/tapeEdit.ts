import type { LaborEntry, LaborState, LedgerFacts, Running, TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { Instant, LocalDay } from '../time/index.ts';

/** A stretch of one person's time as it is drawn on the tape; it goes on where `to` is `null`. */
export type TapePiece = {
  readonly technician: TechnicianId;
  readonly from: Instant;
  readonly to: Instant | null;
  readonly running: readonly Running[];
};

/** A block of the tape and what it becomes: one piece (an edge was drawn, the work changed, another person has it),
 *  several (it was split), none (it never was). Without a block the pieces were never scanned. */
export type TapeEdit = { readonly block: TapePiece | null; readonly becomes: readonly TapePiece[] };

/** A stretch of presence; it goes on where `to` is `null`. */
export type PresencePiece = { readonly from: Instant; readonly to: Instant | null };

/** A shift or a break and what it becomes; without `was` it was never scanned, without `becomes` it never was. */
export type PresenceEdit = {
  readonly technician: TechnicianId;
  readonly kind: 'shift' | 'break';
  readonly was: PresencePiece | null;
  readonly becomes: PresencePiece | null;
};

/** Why an edit of the tape cannot be made. A shipped code is never used for anything else. */
export const EDIT_ERROR_CODES = [
  'edit.block_changed',
  'edit.ends_before_start',
  'edit.future',
  'edit.overlap',
  'edit.on_break',
  'edit.too_long',
  'edit.closed_day',
  'edit.closed_order',
  'edit.nothing',
  'edit.not_possible',
  'edit.presence_overlap',
  'edit.shift_too_long',
  'edit.work_is_there',
] as const;
export type EditErrorCode = (typeof EDIT_ERROR_CODES)[number];

export type TimedEntry = Exclude<LaborEntry, { type: 'hours' }>;

/** What an edit stands on. */
export type TapeGround = {
  /** The entries that count, of everybody the edit names, from some days before it on, in the order of recording. */
  readonly entries: readonly TimedEntry[];
  /** Where each of them stood before those entries; at rest where nothing is said. */
  readonly states: ReadonlyMap<TechnicianId, LaborState>;
  readonly facts: Pick<LedgerFacts, 'policy' | 'zone'>;
  readonly asOf: Instant;
  /** The last day that is closed, if one is; nothing up to it can be edited. */
  readonly closedUntil: LocalDay | null;
  /** Tasks of closed orders. */
  readonly closedTargets: ReadonlySet<TargetId>;
};
