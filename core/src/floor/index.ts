export type { Board, BoardOrder, BoardTarget, BoardTask, BoardTechnician } from './board.ts';
export { jobsOnBoard } from './jobs.ts';
export type { Job, JobTask } from './jobs.ts';
export { isMissing } from './missing.ts';
export type { PlannedDay } from './missing.ts';
export { allocationsIn, orderStanding, personStanding, standingOf, stateAt } from './standing.ts';
export type { TargetStanding, TaskStanding } from './standing.ts';
export { accountedShare, chargedOf, countPresently, drawLane } from './tape.ts';
export type { Block, DrawnStint, Lane, Presently, SettledDay } from './tape.ts';
