import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type {
  Option,
  Prompt,
  Question,
  RequestKind,
  ResourceId,
  Said,
  StationRefusal,
} from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';

/** A sentence to be read from across the room, and one to be read from arm's length. */
export type Line = { readonly headline: string; readonly help: string };

/** Names of what ids stand for, and lengths and clock times as they are spoken. */
export type Names = {
  readonly target: (id: TargetId) => string;
  readonly person: (id: TechnicianId) => string;
  readonly machine: (id: ResourceId) => string;
  readonly clock: (at: Instant) => string;
  readonly length: (seconds: number) => string;
};

type OptionWord = Extract<Option, { kind: 'word' }>['word'];
/** What a button of the station does. */
export type Button =
  | 'off-task'
  | 'done'
  | 'break'
  | 'break-over'
  | 'shift-in'
  | 'shift-out'
  | 'join'
  | 'earlier'
  | 'indirect'
  | 'part'
  | 'help'
  | 'note'
  | 'find'
  | 'own-time'
  | 'lead-crew'
  | 'take-back'
  | 'blank'
  | 'camera'
  | 'enter'
  | 'correction'
  | 'change-pin'
  | 'back';

/** All that a person reads at a station, in one language. A language that lacks some of it does not compile. */
export type Words = {
  readonly prompt: Readonly<Record<Exclude<Prompt, `ask-${string}`>, string>>;
  readonly question: (question: Question, names: Names) => Line;
  readonly refusal: Readonly<Record<StationRefusal, (text: string) => Line>>;
  readonly said: (said: Exclude<Said, { kind: 'refused' }>, names: Names) => Line;
  readonly workType: Readonly<Record<WorkType, string>>;
  readonly word: Readonly<Record<OptionWord, string>>;
  readonly request: Readonly<Record<RequestKind, string>>;
  readonly button: Readonly<Record<Button, string>>;
  readonly length: (seconds: number) => string;
  readonly and: (names: readonly string[]) => string;
  readonly ui: {
    readonly labor: string;
    readonly presence: string;
    readonly demoClock: string;
    readonly connecting: string;
    readonly connected: string;
    readonly offline: string;
    readonly waiting: (count: number) => string;
    readonly noDirectory: string;
    readonly opening: string;
    readonly deaf: Line;
    readonly unsaved: string;
    readonly clockMoved: string;
    readonly notAccepted: string;
    readonly free: string;
    readonly ways: readonly { readonly scan: string; readonly then: string }[];
    readonly signWays: readonly { readonly scan: string; readonly then: string }[];
    readonly notices: string;
    readonly names: string;
    readonly on: string;
    readonly order: string;
    readonly since: string;
    readonly soFar: string;
    readonly onBreak: string;
    readonly onNothing: string;
    readonly signedInSince: string;
    readonly notSignedIn: string;
    readonly today: string;
    readonly wholeOrder: string;
    readonly of: string;
    readonly pieces: string;
    readonly estimate: string;
    readonly noEstimate: string;
    readonly left: string;
    readonly over: string;
    readonly used: string;
    readonly more: (count: number) => string;
    readonly shared: (isByEstimate: boolean) => string;
    readonly instructions: string;
    readonly nextForYou: string;
    readonly forYou: string;
    readonly noNext: string;
    readonly crew: string;
    readonly crewEmpty: string;
    readonly missing: string;
    readonly started: string;
    readonly blankIn: string;
    readonly orType: string;
    readonly bench: string;
    readonly ownTime: string;
    readonly attended: string;
    readonly charged: string;
    readonly week: string;
    readonly toConfirm: string;
    readonly theyAreRight: string;
    readonly confirmed: string;
    readonly lookAgain: string;
    readonly offlineFigures: string;
    readonly oldPin: string;
    readonly newPin: string;
    readonly pinChanged: string;
    readonly pinWrong: string;
    readonly pinRefused: string;
    readonly pinWait: string;
    readonly pinForTime: string;
    readonly showTime: string;
    readonly badgeForTime: string;
    readonly diskFull: string;
    readonly typeHere: string;
    readonly camera: string;
    readonly noCamera: string;
  };
};
