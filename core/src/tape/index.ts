export { gapsOf } from './gaps.ts';
export { planEdit } from './planEdit.ts';
export { planPresence } from './planPresence.ts';
export type { EditErrorCode, TapeEdit, TapeGround, TimedEntry } from './tapeEdit.ts';
