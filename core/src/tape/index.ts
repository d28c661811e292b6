export { gapsOf } from './gaps.ts';
export { addHours, amendHours } from './hoursChange.ts';
export { planEdit, planEdits } from './planEdit.ts';
export { lastOfDay, planNote } from './planNote.ts';
export { planPresence } from './planPresence.ts';
export { planTie } from './planTie.ts';
export { planRecords } from './planRecords.ts';
export type { Records, RecordsAct } from './planRecords.ts';
export type { EditErrorCode, TapeEdit, TapeGround, TapePiece, TimedEntry } from './tapeEdit.ts';
