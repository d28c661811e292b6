import type { FieldProblem } from '@wergon/contract/wire';
import type { Entry, EntryId } from '@wergon/core/ledger';
import type { AnswerState, FloorEntry } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
import type { Decision } from './decision.ts';

/** What the desk says to a request of the floor. */
export type FloorAnswer = {
  readonly id: EntryId;
  readonly type: 'answer';
  readonly at: Instant;
  readonly request: EntryId;
  readonly text: string;
  /** Of a part or of time off: how it stands; absent in what was recorded before that could be said. */
  readonly state?: AnswerState | null;
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

/** An entry on its way in: read, or what is wrong with it. `body` is its JSON as it was sent. */
export type Incoming =
  | {
      readonly kind: 'labor';
      readonly id: EntryId;
      readonly body: unknown;
      readonly entry: Entry;
      readonly sent: Sent;
    }
  | {
      readonly kind: 'floor';
      readonly id: EntryId;
      readonly body: unknown;
      readonly entry: FloorEntry | FloorAnswer;
      readonly sent: Sent;
    }
  | {
      readonly kind: 'decision';
      readonly id: EntryId;
      readonly body: unknown;
      readonly entry: Decision;
      readonly sent: Sent;
    }
  | {
      readonly kind: 'unreadable';
      readonly id: EntryId | null;
      readonly body: unknown;
      readonly errors: readonly FieldProblem[];
    };

/** What became of one entry of a batch. */
export type Outcome =
  | { readonly id: EntryId | null; readonly result: 'recorded' | 'known'; readonly seq: number }
  | { readonly id: EntryId | null; readonly result: 'refused'; readonly errors: readonly FieldProblem[] };
