import type { Entry, EntryId, Running, TargetId } from '../ledger/index.ts';
import type { LeaveAsked, TechnicianId } from '../people/index.ts';
import type { Action, CodeErrorCode } from '../scan/index.ts';
import type { Instant } from '../time/index.ts';
import type { WorkOrderId, WorkType } from '../work/index.ts';
import type { BadgeId, ResourceId, StationDirectory } from './directory.ts';
import type { FloorEntry, RequestKind } from './floorEntry.ts';
import type { PersonAct } from './personAct.ts';
import type { Answer, Question } from './question.ts';
import type { StationSettings } from './settings.ts';

/** How a person is known: by what, and whether their PIN was looked at. It stands in the envelope of what they do. */
export const WAYS_KNOWN = [
  'badge',
  'badge-and-pin',
  'pin-unchecked',
  'name',
  'number',
  'number-and-pin',
  'own-phone',
] as const;
export type Identity = (typeof WAYS_KNOWN)[number];
export type Person = {
  readonly technician: TechnicianId;
  readonly badge: BadgeId | null;
  readonly identity: Identity;
};

/** What somebody has said of the work they are about to start, before the task itself. */
export type StartDetails = {
  readonly workType?: WorkType;
  readonly isJoin?: boolean;
  readonly machine?: ResourceId;
  /** The kind of work may lie outside the order's estimate without being asked about. */
  readonly isOutside?: boolean;
  /** Minutes by which the start is set back; `'ask'` while they are still to be said. */
  readonly minutesBack?: number | 'ask';
};

/** A start: put together from what is scanned in any order, until nothing is missing. */
export type WorkIntent = StartDetails & {
  readonly kind: 'work';
  readonly target?: TargetId;
  /** A whole order was scanned: one of its tasks is meant. */
  readonly order?: WorkOrderId;
  /** The task was read from a traveler that is older than its order. */
  readonly isOldTraveler?: boolean;
  readonly isReopened?: boolean;
  /** The lead who let it through although it would be refused. */
  readonly override?: TechnicianId;
  /** Why work stands still or is done once more; `null` where that was left out. */
  readonly reason?: string | null;
  /** More was said of a start just made: it is made anew, from the same instant. */
  readonly replaces?: Act;
  readonly answers: readonly Answer[];
};

export type ActIntent = {
  readonly kind: 'action';
  readonly action: PersonAct;
  /** Which of several running targets; absent: not said yet. */
  readonly targets?: readonly TargetId[];
  /** A touch is easily made by mistake, so a stop by touch asks. */
  readonly isConfirmed: boolean;
  readonly answers: readonly Answer[];
};

/** Something that is asked of the desk; of a part also how many, and why. */
export type RequestIntent = {
  readonly kind: 'request';
  readonly what: RequestKind;
  readonly text?: string;
  /** `null` where that was left out. */
  readonly quantity?: number | null;
  readonly why?: string;
  /** Of time off: what is known of it so far, or which request is taken back instead. */
  readonly leave?: Partial<LeaveAsked>;
  readonly withdraws?: EntryId;
};

/** What somebody wants, before it is known who, or before all of it is known. */
export type Intent =
  | WorkIntent
  | ActIntent
  /** Work on an indirect activity that is still to be chosen. */
  | { readonly kind: 'indirect' }
  | RequestIntent
  /** What was found, or what was done: a remark on what they are on. */
  | { readonly kind: 'note'; readonly text?: string }
  /** A task that is looked for by words. */
  | { readonly kind: 'find' }
  /** Only to see where they stand. */
  | { readonly kind: 'look' };

/** One of a crew that is being signed on or off; whoever is unticked is missing, and nothing is done for them. */
export type Member = {
  readonly technician: TechnicianId;
  readonly badge: BadgeId | null;
  readonly isMissing: boolean;
};

/** How far a sign-on has come. */
export type Conversation =
  | { readonly step: 'idle' }
  /** A badge was read: this person is asked what to do. */
  | { readonly step: 'person'; readonly person: Person; readonly draft: StartDetails }
  /** Something was read that needs a badge. */
  | { readonly step: 'intent'; readonly intent: Intent }
  /** Something is missing that the person is asked for; `typed` is what they have keyed so far. */
  | {
      readonly step: 'asked';
      readonly person: Person;
      readonly intent: Intent;
      readonly question: Question;
      readonly typed: string;
      /** Whether they stay on the screen when it is done. */
      readonly staysSignedOn: boolean;
      /** The crew that waits for the answer, if it is one's. */
      readonly crew?: OpenCrew;
    }
  /** A crew is open: every badge belongs to it, in any order with the task. */
  | OpenCrew;

export type OpenCrew = {
  readonly step: 'crew';
  /** Who opened their crew from the list; nobody where the label opened it. */
  readonly lead: Person | null;
  readonly members: readonly Member[];
  readonly work: WorkIntent | null;
  readonly started: readonly TechnicianId[];
};

/** Why the station will not do something; said before it is done. */
export type StationRefusal =
  | CodeErrorCode
  | 'station.unknown_code'
  | 'station.no_typing'
  | 'station.order_not_released'
  | 'station.order_on_hold'
  | 'station.no_open_task'
  | 'station.task_finished'
  | 'station.not_assigned'
  | 'station.technician_left'
  | 'station.already_in'
  | 'station.not_in'
  | 'station.on_nothing'
  | 'station.nothing_to_take_back'
  | 'station.presence_only'
  | 'station.not_a_lead'
  | 'station.no_crew'
  | 'station.too_early'
  | 'station.bad_answer'
  | 'station.value_outside'
  | 'station.answer_needed'
  | 'station.nothing_found'
  | 'station.wrong_pin'
  | 'station.pin_wait'
  | 'station.nothing_asked'
  | 'station.not_on_the_way';

type Of = { readonly technician: TechnicianId };
type Started = Of & {
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly isOldTraveler: boolean;
  readonly minutesBack: number;
  /** Signed in by the same act. */
  readonly isSignedIn: boolean;
};
type Ended = Of & { readonly left: readonly Running[]; readonly since: Instant; readonly at: Instant };

/** What the last input came to; shown until the screen blanks. */
export type Said =
  | (Started & { readonly kind: 'started' })
  | (Started & { readonly kind: 'switched'; readonly left: readonly Running[] })
  /** Begun beside what runs already. */
  | (Started & { readonly kind: 'joined'; readonly beside: readonly Running[] })
  | (Ended & { readonly kind: 'stopped' })
  /** These tasks are finished; others may still be on them. */
  | (Ended & { readonly kind: 'done'; readonly others: readonly TechnicianId[] })
  | (Of & { readonly kind: 'already-on'; readonly target: TargetId })
  | (Of & { readonly kind: 'break' | 'break-over' | 'taken-back' | 'proposed' | 'noted' })
  /** `isRepeat`: nothing was done again, the answer is only said again. */
  | (Of & { readonly kind: 'shift-in'; readonly isRepeat: boolean })
  | (Of & {
      readonly kind: 'shift-out';
      readonly isRepeat: boolean;
      readonly left: readonly Running[];
      readonly since: Instant;
      readonly at: Instant;
    })
  /** What runs goes on as another kind of work. */
  | (Of & { readonly kind: 'work-type'; readonly left: readonly Running[]; readonly workType: WorkType })
  | (Of & { readonly kind: 'requested'; readonly what: RequestKind })
  | (Of & { readonly kind: 'withdrawn' })
  | {
      readonly kind: 'crew-started';
      readonly technicians: readonly TechnicianId[];
      readonly target: TargetId;
    }
  | {
      readonly kind: 'crew-did';
      readonly action: PersonAct;
      readonly technicians: readonly TechnicianId[];
      /** Those for whom it made no sense. */
      readonly skipped: readonly TechnicianId[];
    }
  /** The station has learned what its scanner sends. */
  | { readonly kind: 'calibrated' }
  | { readonly kind: 'refused'; readonly code: StationRefusal; readonly text: string };

/** One act of a person at this station that they can still take back. */
export type Act = {
  readonly technician: TechnicianId;
  readonly entries: readonly EntryId[];
  readonly at: number;
  /** What was started, if it was a start: said more of within the time, it is made anew. */
  readonly work: WorkIntent | null;
};

export type StationState = {
  readonly conversation: Conversation;
  readonly said: Said | null;
  /** When the screen clears itself, in milliseconds; `null` while there is nothing on it. */
  readonly blankAt: number | null;
  /** The last code heard, to tell a double trigger. */
  readonly heard: { readonly text: string; readonly at: number } | null;
  readonly acts: readonly Act[];
  /** Who signed in or out at a presence station, and when, in milliseconds. */
  readonly signed: readonly { readonly technician: TechnicianId; readonly at: number }[];
};

/** The station as it waits for a badge or a task: nobody is signed on. */
export const IDLE: StationState = {
  conversation: { step: 'idle' },
  said: null,
  blankAt: null,
  heard: null,
  acts: [],
  signed: [],
};

/** Where an input came from; it stands in the envelope of what it makes. */
export type Source = 'scan' | 'touch' | 'typed' | 'camera';

/** What can be touched: what labels ask for, and what has no label. */
export type Touch = Action | 'indirect' | 'lead-crew' | 'correction' | 'time-off' | 'find';

type InputBase = { readonly now: number; readonly entryId: EntryId };

/** What happens at a station. `now` is in milliseconds of the server's clock, and `entryId` is fresh: the reducer has
 *  neither a clock nor dice. */
export type StationInput =
  | (InputBase & {
      readonly type: 'scan';
      readonly text: string;
      /** The form under which the directory keeps badges; made by the page, because hashing is no business of rules. */
      readonly keys?: readonly string[];
      readonly source: Source;
    })
  | (InputBase & { readonly type: 'touch'; readonly action: Touch })
  /** One of the offered answers of the open question, by its place. */
  | (InputBase & { readonly type: 'choose'; readonly option: number })
  /** A task that the screen offers was touched. */
  | (InputBase & { readonly type: 'pick'; readonly target: TargetId })
  /** A name on the list was touched: at stations without badges, or in an open crew. */
  | (InputBase & { readonly type: 'name'; readonly technician: TechnicianId })
  /** Words or figures for the open question. */
  | (InputBase & { readonly type: 'answer'; readonly text: string })
  | (InputBase & {
      readonly type: 'pin';
      readonly technician: TechnicianId;
      readonly answer: 'right' | 'wrong' | 'wait' | 'unreachable';
    })
  | { readonly type: 'calibrated'; readonly now: number }
  /** Somebody reads something of theirs: the screen does not clear itself meanwhile. */
  | { readonly type: 'stay'; readonly now: number }
  | { readonly type: 'tick'; readonly now: number };

export type Sound = 'heard' | 'done' | 'refused' | 'question';

/** What the page must do: keep an entry, ask the server for a PIN, or make itself heard. */
export type Effect =
  | {
      readonly type: 'append';
      readonly entry: Entry | FloorEntry;
      /** Shared by all entries of one act of one person. */
      readonly action: EntryId;
      readonly source: Source;
      /** The badge that was read for it, by id, never by what stands on it. */
      readonly via: readonly string[];
      readonly identity: Identity | null;
    }
  | { readonly type: 'check-pin'; readonly technician: TechnicianId; readonly pin: string }
  | { readonly type: 'sound'; readonly sound: Sound };

export type StationStep = { readonly state: StationState; readonly effects: readonly Effect[] };

/** What a station stands on. Without the server it refuses nothing for a state that it cannot know. */
export type StationContext = {
  readonly directory: StationDirectory;
  readonly settings: StationSettings;
  readonly isOnline: boolean;
};

/** The instant, source and fresh id of one input. */
export type InputMeta = { readonly now: number; readonly entryId: EntryId; readonly source: Source };
