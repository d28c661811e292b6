export type { Incoming } from './incoming.ts';
export type { LedgerContext } from './context.ts';
export {
  ApprovalEntity,
  ClosedAwayEntity,
  ClosedPayEntity,
  ClosedLineEntity,
  PayPeriodEntity,
  PayFileEntity,
  PayFilePartEntity,
  LineTrueUpEntity,
  PayrollAmountEntity,
  PayrollEntity,
  PayrollLineEntity,
  PaySplitEntity,
  SetCostEntity,
  UnsettledDayEntity,
} from './decisionEntities.ts';
export { countDue, createDeriveAnew } from './dueDerivation.ts';
export { findClosedUntil } from './decisionRows.ts';
export { acceptedFacts, loadAccepted, writeDecision } from './decisions.ts';
export {
  EffectiveEntity,
  EntryIndexEntity,
  JournalEntity,
  LaborLineEntity,
  LaborStateEntity,
  LeaveRequestEntity,
  LinePartEntity,
  LinePremiumEntity,
  LooseEndEntity,
  PayDayEntity,
  PieceCountEntity,
  PresenceEntity,
  RefusedEntity,
  StintEntity,
  TaskMarkEntity,
  WaitingEntity,
} from './entities.ts';
export { GENESIS, chainHash, writeEnvelope } from './envelope.ts';
export type { FloorAnswer } from './incoming.ts';
export type { LeftOut } from './decision.ts';
export { createJournal } from './journal.ts';
export type { Decide, Journal } from './journal.ts';
export { findLeave, leaveOfRow } from './leaveRows.ts';
export type { LeaveRow } from './leaveRows.ts';
export { findNote, loadCounts, loadNotesOf, loadNotesOn } from './notes.ts';
export type { KeptNote } from './notes.ts';
export { peopleOnOrder } from './orderActs.ts';
export { refusalOf, writeOutcome } from './outcome.ts';
export { loadOpenStints, loadPersonTimeline, loadRunning, loadTimelines } from './personTimeline.ts';
export { costAnew } from './rates.ts';
export { readBatch } from './readBatch.ts';
export { PROJECTIONS, catchUp, rebuild } from './rebuild.ts';
export { readChanges } from './readChanges.ts';
export { STATION_TYPES, findHead } from './record.ts';
export { mountLedger } from './routes.ts';
export { loadNames, loadSaid, loadScan } from './scans.ts';
export type { Names, SaidOfStart } from './scans.ts';
export { costByRate, costingOf, loadSetCosts, loadSetCostsOn } from './setCosts.ts';
export type { SaidCost } from './setCosts.ts';
export { loadShiftDays } from './shiftDays.ts';
export type { AskedDays, ShiftDay } from './shiftDays.ts';
export { readEntry, readEnvelope, readFloorEntry, readLaborEntry, writeTimes, readFields } from './stored.ts';
export {
  findState,
  findStateBefore,
  loadChargedOn,
  loadElsewhere,
  loadFinished,
  loadHours,
  loadLinesBetween,
  loadLinesOf,
  loadLinesOn,
  loadMachineStints,
  loadMarkedIn,
  loadPresence,
  loadSeq,
  loadStates,
  loadStints,
  longestStint,
} from './timelineRows.ts';
export { verifyChain, walkChain } from './verify.ts';
export { readInstant } from './storedTime.ts';
export type { Asked, OfLabor } from './timelineRows.ts';
export { hasLabor } from './namedTargets.ts';
export { loadUsedBetween, loadUsedByPeople, loadUsedOf } from './usedTime.ts';
export { loadParts, sumParts } from './lineParts.ts';
export type { LinePart } from './lineParts.ts';
export { loadPieces } from './pieces.ts';
export { loadPortions, paidBy, payOfDays } from './payDays.ts';
export { loadIdleSplits, loadPremiumsOn } from './payRows.ts';
export { loadRunningPay, loadRunningPremiums, loadStages, loadWorked } from './runningPay.ts';
