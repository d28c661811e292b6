import type { EntryId, TargetId } from '../ledger/index.ts';
import type { LeaveAsked, TechnicianId } from '../people/index.ts';
import type { Instant } from '../time/index.ts';
import type { LeaveState } from './leaveStanding.ts';

type Happened<Type extends string> = { readonly id: EntryId; readonly type: Type; readonly at: Instant };
type ByTechnician = { readonly technician: TechnicianId };

/** What somebody at a station asks the desk for. */
export const REQUEST_KINDS = ['part', 'help', 'correction', 'time-off'] as const;
export type RequestKind = (typeof REQUEST_KINDS)[number];

/** What the desk says of a part that somebody needs: it is on its way, to be had, or not to be had. */
export const PART_STATES = ['ordered', 'here', 'refused'] as const;
export type PartState = (typeof PART_STATES)[number];
export type AnswerState = PartState | LeaveState;
export const ANSWER_STATES = [
  'ordered',
  'here',
  'refused',
  'granted',
  'taken-out',
] as const satisfies readonly AnswerState[];

/** An entry of the floor stream: said at a station, of no effect on hours. Source: docs/ledger.md, section 3. */
export type FloorEntry =
  /** A code that stands for nothing; of a badge only how it begins. */
  | (Happened<'unread-scan'> & { readonly text: string; readonly reason: string })
  /** A measured value and the limits it was asked within. */
  | (Happened<'reading'> &
      ByTechnician & {
        readonly target: TargetId;
        readonly label: string;
        readonly value: number;
        readonly unit: string;
        readonly least: number | null;
        readonly most: number | null;
      })
  | (Happened<'request'> &
      ByTechnician & {
        readonly what: RequestKind;
        readonly target: TargetId | null;
        readonly text: string;
        /** Of a part: how many, and why; `null` and empty where that was left out. */
        readonly quantity: number | null;
        readonly why: string;
        /** Of time off: why, and on which days; absent in what was recorded before it could be asked for. */
        readonly leave?: LeaveAsked | null | undefined;
      })
  /** Time off that somebody asked for, and does not want after all. */
  | (Happened<'withdrawal'> & ByTechnician & { readonly request: EntryId })
  /** When something that was forgotten really ended, as the technician says: for the supervisor to decide. */
  | (Happened<'proposal'> &
      ByTechnician & {
        readonly about: EntryId;
        readonly kind: 'forgotten-stop' | 'forgotten-shift-out';
        readonly ended: Instant;
      })
  /** The device's clock was moved by so many seconds while the page ran or was closed. */
  | (Happened<'clock-jump'> & { readonly seconds: number });

export const FLOOR_ENTRY_TYPES = [
  'unread-scan',
  'reading',
  'request',
  'withdrawal',
  'proposal',
  'clock-jump',
] as const;

/** Whether an entry belongs to the floor stream. */
export const isFloorEntry = (entry: { readonly type: string }): entry is FloorEntry =>
  FLOOR_ENTRY_TYPES.some((type) => type === entry.type);
