import type { Entry, EntryId } from '@wergon/core/ledger';
import type { FloorEntry } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';

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
    };

/** What an author says around an entry. */
export type Sent = {
  readonly source: string;
  readonly via: readonly string[];
  readonly action: string;
  readonly deviceAt: Instant;
  readonly clockOffset: number;
  readonly identity?: string;
};

export type FieldError = { readonly field: string; readonly message: string };

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
      readonly errors: readonly FieldError[];
    };

/** What became of one entry of a batch. */
export type Outcome =
  | { readonly id: string | null; readonly result: 'recorded' | 'known'; readonly seq: number }
  | { readonly id: string | null; readonly result: 'refused'; readonly errors: readonly FieldError[] };
