import type { FieldProblem } from '@wergon/contract/wire';
import type { Entry, EntryId } from '@wergon/core/ledger';
import type { ClosedLine } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import type { FloorEntry } from '@wergon/core/station';
import type { Instant, LocalDay } from '@wergon/core/time';

/** What the desk says to a request of the floor. */
export type FloorAnswer = {
  readonly id: EntryId;
  readonly type: 'answer';
  readonly at: Instant;
  readonly request: EntryId;
  readonly text: string;
  readonly by: string;
};

/** A decision of the desk: a loose end is accepted as it is, or an acceptance withdrawn. It names what it decides by
 *  key and by the facts that it saw. */
export type Decision =
  | {
      readonly id: EntryId;
      readonly type: 'accept';
      readonly at: Instant;
      readonly key: string;
      readonly facts: string;
      readonly reason: string;
      readonly by: string;
    }
  | {
      readonly id: EntryId;
      readonly type: 'withdraw';
      readonly at: Instant;
      readonly accept: EntryId;
      readonly by: string;
    }
  /** A person's shift day is right as it is; said by whoever approves, or by that person. */
  | {
      readonly id: EntryId;
      readonly type: 'approve' | 'confirm';
      readonly at: Instant;
      readonly technician: TechnicianId;
      readonly day: LocalDay;
      readonly facts: string;
      readonly by: string;
    }
  | {
      readonly id: EntryId;
      readonly type: 'unapprove';
      readonly at: Instant;
      readonly technician: TechnicianId;
      readonly day: LocalDay;
      readonly by: string;
    }
  /** A pay period with the lines it keeps, and the adjustments to earlier ones that it pays. */
  | {
      readonly id: EntryId;
      readonly type: 'close';
      readonly at: Instant;
      readonly firstDay: LocalDay;
      readonly lastDay: LocalDay;
      readonly lines: readonly ClosedLine[];
      readonly adjustments: readonly ClosedLine[];
      /** Shift days up to its end that it did not pay as they are: nobody has approved them, or they still go on. */
      readonly leftOut: readonly LeftOut[];
      readonly head: string;
      readonly by: string;
    }
  | {
      readonly id: EntryId;
      readonly type: 'reopen';
      readonly at: Instant;
      readonly firstDay: LocalDay;
      readonly reason: string;
      readonly by: string;
    };

/** A person's shift day that no closed period has paid as it is. */
export type LeftOut = { readonly technician: TechnicianId; readonly day: LocalDay };

/** What an author says around an entry. */
export type Sent = {
  readonly source: string;
  readonly via: readonly string[];
  readonly action: string;
  readonly deviceAt: Instant;
  readonly clockOffset: number;
  readonly identity?: string;
};

/** An entry on its way in: read, or what is wrong with it. `body` is its JSON as it was sent. */
export type Incoming =
  | {
      readonly kind: 'labor';
      readonly id: string;
      readonly body: unknown;
      readonly entry: Entry;
      readonly sent: Sent;
    }
  | {
      readonly kind: 'floor';
      readonly id: string;
      readonly body: unknown;
      readonly entry: FloorEntry | FloorAnswer;
      readonly sent: Sent;
    }
  | {
      readonly kind: 'decision';
      readonly id: string;
      readonly body: unknown;
      readonly entry: Decision;
      readonly sent: Sent;
    }
  | {
      readonly kind: 'unreadable';
      readonly id: string | null;
      readonly body: unknown;
      readonly errors: readonly FieldProblem[];
    };

/** What became of one entry of a batch. */
export type Outcome =
  | { readonly id: string | null; readonly result: 'recorded' | 'known'; readonly seq: number }
  | { readonly id: string | null; readonly result: 'refused'; readonly errors: readonly FieldProblem[] };
