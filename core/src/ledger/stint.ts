import type { TechnicianId } from '../people/index.ts';
import type { Instant, Span } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { EntryId, TargetId } from './entries.ts';

/** What a start says of its work beside its kind. */
export type RidesAlong = {
  readonly machine?: string;
  readonly chargeRate?: string;
  readonly payClass?: string;
};

/** One target that runs, the kind of work done on it, and what its start said of it. Source: docs/ledger.md, section 4. */
export type Running = RidesAlong & { readonly target: TargetId; readonly workType: WorkType };

/** What rides along with work, and nothing else; absent what it does not name. */
export const ridesAlongOf = ({ machine, chargeRate, payClass }: RidesAlong): RidesAlong => ({
  ...(machine === undefined ? {} : { machine }),
  ...(chargeRate === undefined ? {} : { chargeRate }),
  ...(payClass === undefined ? {} : { payClass }),
});

/** Whether two items of a running list are the same work in every respect. */
export const isSameItem = (a: Running, b: Running | undefined): boolean =>
  a.target === b?.target &&
  a.workType === b.workType &&
  a.machine === b.machine &&
  a.chargeRate === b.chargeRate &&
  a.payClass === b.payClass;

/** The entries at the two ends of a stretch; no `closed` where it is open or was cut. */
export type Ends = { readonly opened: EntryId; readonly closed?: EntryId | undefined };

/** A stretch in which one technician's running targets do not change. Source: docs/ledger.md, section 4. */
export type Stint = Span &
  Ends & {
    readonly technician: TechnicianId;
    readonly running: readonly Running[];
    /** Still going on at the instant the ledger was asked for. */
    readonly open: boolean;
    /** Ended by a rule, because nobody said when. */
    readonly capped: boolean;
    /** The shift-in of the shift it ends in; its seconds from then on belong to that shift's day. */
    readonly shiftSince?: Instant | undefined;
    /** The reason that the start named of what runs. */
    readonly reason?: string | undefined;
  };

/** A shift or a break of one technician. */
export type Presence = Span &
  Ends & { readonly technician: TechnicianId; readonly open: boolean; readonly capped: boolean };
