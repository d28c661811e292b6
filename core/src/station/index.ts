export { DEFAULT_STATION_SETTINGS, IDLE } from './conversation.ts';
export type {
  Conversation,
  Effect,
  Intent,
  Said,
  Sound,
  Source,
  StationInput,
  StationRefusal,
  StationSettings,
  StationState,
  StationStep,
} from './conversation.ts';
export { recordLocally } from './directory.ts';
export type { BadgeId, Meaning, StationDirectory } from './directory.ts';
export { promptFor } from './prompt.ts';
export type { Prompt } from './prompt.ts';
export { TAKE_BACK_MS, converse } from './station.ts';
