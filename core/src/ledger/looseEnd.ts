import type { TechnicianId } from '../people/index.ts';
import type { Instant, LocalDay, Seconds } from '../time/index.ts';
import type { EntryId, TargetId } from './entries.ts';

/** The kinds of loose ends that come from labor. Source: docs/ledger.md, sections 4 to 8. */
const LABOR_END_KINDS = [
  'double-shift-in',
  'shift-out-without-in',
  'stop-without-start',
  'forgotten-shift-out',
  'forgotten-stop',
  'gap',
  'work-outside-shift',
  'long-break',
  'no-rate',
  'cost-changed',
  'split-changed',
  'not-released',
  'after-done',
  'clock',
] as const;

/** Those that come from the floor and move no time: a station's clock that was moved, a code that stood for nothing, an
 *  entry that could not be recorded, something odd about badges. Source: docs/reconcile.md, what comes from the floor. */
export const FLOOR_END_KINDS = [
  'clock-jump',
  'unknown-code',
  'refused-entry',
  'badge-hop',
  'badge-pair',
] as const;

export const LOOSE_END_KINDS = [...LABOR_END_KINDS, ...FLOOR_END_KINDS] as const;
export type LooseEndKind = (typeof LOOSE_END_KINDS)[number];

/** Something in the journal that a person must decide on. */
export type LooseEnd = {
  readonly kind: LooseEndKind;
  readonly technician?: TechnicianId;
  readonly target?: TargetId;
  /** What it is about where that is neither a person nor a target alone: the text of a code, another person. */
  readonly about?: string;
  readonly entries: readonly EntryId[];
  /** For kinds that are about a whole day. */
  readonly day?: LocalDay;
  readonly from?: Instant;
  readonly to?: Instant;
  readonly seconds?: Seconds;
};

/** How far ahead of the server a station's clock may be before somebody should look at it, in seconds. */
export const CLOCK_TOLERANCE = 60;
/** How far ahead an entry can be and still be recorded, in seconds; beyond it the clock was never set. */
const MOST_AHEAD = 86_400;

/** Whether an entry's instant lies so far ahead of its recording that the device's clock must be wrong.
 *  Source: docs/ledger.md, section 8, `clock`. */
export const isClockAhead = (at: Instant, recordedAt: Instant): boolean => at - recordedAt > CLOCK_TOLERANCE;

/** Whether an entry's instant lies so far ahead that it tells of no time at all and is refused.
 *  Source: docs/ledger.md, section 8, `clock`. */
export const isClockFault = (at: Instant, recordedAt: Instant): boolean => at - recordedAt > MOST_AHEAD;
