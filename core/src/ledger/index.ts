export { allocateStint } from './allocate.ts';
export type { Allocation } from './allocate.ts';
export { deriveAttendance, shareAccounted, sumAccounted } from './attendance.ts';
export type { AttendanceDay } from './attendance.ts';
export {
  addSettled,
  deriveLedger,
  derivePerson,
  emptyTimeline,
  entriesAsOf,
  findWithoutRate,
  foldEntries,
  sumEntered,
} from './derive.ts';
export type { Ledger, PersonPast, PersonTimeline } from './derive.ts';
export { correctedEntry, inOrderOfTime, undoOfAmend } from './effective.ts';
export { entryIdOf, isCorrection, targetsOf } from './entries.ts';
export type {
  AmendSet,
  Correction,
  Entry,
  EntryId,
  HoursEntry,
  LaborEntry,
  NoteEntry,
  TargetId,
} from './entries.ts';
export { DEFAULT_POLICY, isPaidTarget } from './facts.ts';
export type { LedgerFacts, Policy, TargetFacts } from './facts.ts';
export { ENTRY_FIELDS } from './fields.ts';
export { deriveFinished, findNotReleased, isTaskEntry } from './finished.ts';
export { AT_REST, applyEntry, settleAt } from './fold.ts';
export type { LaborState, Settled } from './fold.ts';
export { costLine, findIdleCosts, holdsFor, premiumOfLine, trueUpOfLine } from './costing.ts';
export type { Costing, LinePremium, LineTrueUp, SetCost } from './costing.ts';
export { joinLines } from './joinLines.ts';
export type { ToldLine } from './joinLines.ts';
export { costParts, sumLines, withPremium } from './lines.ts';
export type { LaborLine } from './lines.ts';
export { CLOCK_TOLERANCE, FLOOR_END_KINDS, LOOSE_END_KINDS, isClockAhead, isClockFault } from './looseEnd.ts';
export type { LooseEnd, LooseEndKind } from './looseEnd.ts';
export { canonicalJson, checkEntry, isSameContent } from './record.ts';
export type { EntryErrorCode, Recorded } from './record.ts';
export { recost } from './recost.ts';
export { effectOfPolicy, sumPolicyEffects } from './policyEffect.ts';
export type { PolicyEffect } from './policyEffect.ts';
export { attendedByShiftDay } from './shiftAttendance.ts';
export { splitByShiftDay } from './shiftLines.ts';
export type { ShiftLine } from './shiftLines.ts';
export { isSameItem, ridesAlongOf } from './stint.ts';
export type { Presence, RidesAlong, Running, Stint } from './stint.ts';
export { addUsed } from './used.ts';
export type { UsedByType } from './used.ts';
export { chargeDays, secondsOfDay } from './chargedDays.ts';
export type { ChargedDays } from './chargedDays.ts';
