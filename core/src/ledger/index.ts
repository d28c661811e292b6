export { deriveAttendance, shareAccounted, sumAccounted } from './attendance.ts';
export type { AttendanceDay } from './attendance.ts';
export { collect, deriveLedger, findWithoutRate, foldEntries, noStrands, sumEntered } from './derive.ts';
export type { Ledger, Strands } from './derive.ts';
export { correctedEntry, effectiveEntries, inOrderOfTime, undoOfAmend } from './effective.ts';
export { isCorrection, targetsOf, technicianOf } from './entries.ts';
export type {
  AmendSet,
  Correction,
  Entry,
  EntryId,
  EntryType,
  HoursEntry,
  LaborEntry,
  TargetId,
} from './entries.ts';
export { DEFAULT_POLICY } from './facts.ts';
export type { LedgerFacts, Policy, TargetFacts } from './facts.ts';
export { ENTRY_FIELDS } from './fields.ts';
export { deriveFinished, findNotReleased, isTaskEntry } from './finished.ts';
export type { TaskEntry } from './finished.ts';
export { AT_REST, applyEntry, settleAt } from './fold.ts';
export type { Doing, LaborState, Settled } from './fold.ts';
export { sumLines } from './lines.ts';
export type { LaborLine } from './lines.ts';
export { CLOCK_TOLERANCE, FLOOR_END_KINDS, LOOSE_END_KINDS, isClockAhead, isClockFault } from './looseEnd.ts';
export type { LooseEnd, LooseEndKind } from './looseEnd.ts';
export { piecesOf } from './pieces.ts';
export type { Piece } from './pieces.ts';
export { ENTRY_ERROR_CODES, canonicalJson, checkEntry, isSameContent } from './record.ts';
export type { EntryErrorCode, Recorded } from './record.ts';
export { attendedByShiftDay } from './shiftAttendance.ts';
export { splitByShiftDay } from './shiftLines.ts';
export type { ShiftLine } from './shiftLines.ts';
export type { Presence, Running, Stint } from './stint.ts';
