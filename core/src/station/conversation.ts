import type { Entry, EntryId, Running, TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { Action, CodeErrorCode } from '../scan/index.ts';
import type { Instant } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { BadgeId } from './directory.ts';

/** What somebody wants, before it is known who. */
export type Intent =
  | {
      readonly kind: 'work';
      readonly target: TargetId;
      readonly workType: WorkType;
      /** Whether it was read from a traveler that is older than its order. */
      readonly isOldTraveler: boolean;
    }
  | { readonly kind: 'action'; readonly action: Exclude<Action, 'blank'> };

/** How far a sign-on has come. */
export type Conversation =
  | { readonly step: 'idle' }
  /** A badge was read: this person is asked what to do. */
  | { readonly step: 'person'; readonly technician: TechnicianId; readonly badge: BadgeId }
  /** Something was read that needs a badge. */
  | { readonly step: 'intent'; readonly intent: Intent };

/** Why the station will not do something; said before it is done. */
export type StationRefusal =
  | CodeErrorCode
  | 'station.unknown_code'
  | 'station.order_code'
  | 'station.unused_code'
  | 'station.order_not_released'
  | 'station.task_finished'
  | 'station.technician_left'
  | 'station.already_in'
  | 'station.not_in'
  | 'station.on_nothing'
  | 'station.type_without_task'
  | 'station.nothing_to_take_back';

/** What the last input came to; shown until the screen blanks. */
export type Said =
  | {
      readonly kind: 'started';
      readonly technician: TechnicianId;
      readonly target: TargetId;
      readonly workType: WorkType;
      readonly isOldTraveler: boolean;
      readonly entry: EntryId;
    }
  | {
      readonly kind: 'switched';
      readonly technician: TechnicianId;
      readonly target: TargetId;
      readonly workType: WorkType;
      readonly isOldTraveler: boolean;
      readonly entry: EntryId;
      readonly left: readonly Running[];
    }
  | {
      readonly kind: 'stopped';
      readonly technician: TechnicianId;
      readonly left: readonly Running[];
      readonly since: Instant;
      readonly at: Instant;
    }
  | { readonly kind: 'already-on'; readonly technician: TechnicianId; readonly target: TargetId }
  | {
      readonly kind: 'shift-in' | 'shift-out' | 'break' | 'break-over' | 'taken-back';
      readonly technician: TechnicianId;
    }
  /** These tasks are finished. */
  | {
      readonly kind: 'done';
      readonly technician: TechnicianId;
      readonly left: readonly Running[];
      readonly since: Instant;
      readonly at: Instant;
    }
  /** What runs goes on as another kind of work. */
  | {
      readonly kind: 'work-type';
      readonly technician: TechnicianId;
      readonly left: readonly Running[];
      readonly workType: WorkType;
    }
  /** The station has learned what its scanner sends. */
  | { readonly kind: 'calibrated' }
  | { readonly kind: 'refused'; readonly code: StationRefusal; readonly text: string };

/** The entry a technician can still take back at this station. */
export type Start = { readonly technician: TechnicianId; readonly entry: EntryId; readonly at: number };

export type StationState = {
  readonly conversation: Conversation;
  readonly said: Said | null;
  /** When the screen clears itself, in milliseconds; `null` while there is nothing on it. */
  readonly blankAt: number | null;
  /** The last code heard, to tell a double trigger. */
  readonly heard: { readonly text: string; readonly at: number } | null;
  readonly starts: readonly Start[];
};

/** Nobody stands here. */
export const IDLE: StationState = {
  conversation: { step: 'idle' },
  said: null,
  blankAt: null,
  heard: null,
  starts: [],
};

/** Where an input came from; it stands in the envelope of what it makes. */
export type Source = 'scan' | 'touch' | 'typed';

/** What happens at a station. `now` is in milliseconds of the server's clock, and `entryId` is fresh: the reducer has
 *  neither a clock nor dice. */
export type StationInput =
  | {
      readonly type: 'scan';
      readonly text: string;
      readonly source: Source;
      readonly now: number;
      readonly entryId: EntryId;
    }
  | { readonly type: 'touch'; readonly action: Action; readonly now: number; readonly entryId: EntryId }
  | { readonly type: 'calibrated'; readonly now: number }
  | { readonly type: 'tick'; readonly now: number };

export type Sound = 'heard' | 'done' | 'refused' | 'question';

/** What the page must do: keep an entry, or make itself heard. */
export type Effect =
  | {
      readonly type: 'append';
      readonly entry: Entry;
      readonly source: Source;
      /** The badge that was read for it, by id, never by what stands on it. */
      readonly via: readonly string[];
    }
  | { readonly type: 'sound'; readonly sound: Sound }
  /** A code that stands for nothing here; kept for the supervisor to see. */
  | { readonly type: 'report'; readonly text: string; readonly code: StationRefusal };

export type StationStep = { readonly state: StationState; readonly effects: readonly Effect[] };

/** How long a screen stays, in seconds. */
export type StationSettings = { readonly clearAfterBadge: number; readonly clearAfterDone: number };
export const DEFAULT_STATION_SETTINGS: StationSettings = { clearAfterBadge: 60, clearAfterDone: 6 };
