export { IDLE, WAYS_KNOWN } from './conversation.ts';
export type {
  Conversation,
  Effect,
  Said,
  Sound,
  Source,
  StationInput,
  StationRefusal,
  StationState,
  Touch,
} from './conversation.ts';
export { recordLocally } from './directory.ts';
export type {
  BadgeId,
  Meaning,
  Message,
  OwnLeave,
  PersonBrief,
  ResourceId,
  StationDirectory,
} from './directory.ts';
export { LEAVE_STANDINGS, LEAVE_STATES, nextLeaveStanding, planOfAnswer } from './leaveStanding.ts';
export type { LeaveStanding, LeaveState } from './leaveStanding.ts';
export { ANSWER_STATES, FLOOR_ENTRY_TYPES, PART_STATES, REQUEST_KINDS } from './floorEntry.ts';
export type { AnswerState, FloorEntry, PartState, RequestKind } from './floorEntry.ts';
export { findBadgeHints } from './hints.ts';
export type { BadgeScan } from './hints.ts';
export { OWN_LABEL_ACTS, PERSON_ACTS } from './personAct.ts';
export type { PersonAct } from './personAct.ts';
export { promptFor } from './prompt.ts';
export type { Prompt } from './prompt.ts';
export { optionsOf, takesOf } from './question.ts';
export type { Option, Question } from './question.ts';
export {
  DEFAULT_STATION_SETTINGS,
  HIDEABLE_ACTS,
  IDENTITIES,
  LANGUAGES,
  STATION_KINDS,
  THEMES,
} from './settings.ts';
export type { HideableAct, Language, StationSettings } from './settings.ts';
export { TAKE_BACK_MS } from './show.ts';
export { converse } from './station.ts';
export { nextTasks } from './tasks.ts';
