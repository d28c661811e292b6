export type {
  Board,
  BoardActivity,
  BoardOrder,
  BoardTarget,
  BoardTask,
  BoardTechnician,
  UsedByType,
} from './board.ts';
export { addUsed, orderStanding, personStanding, piecesIn, standingOf, stateAt } from './standing.ts';
export type { PersonStanding, TargetStanding, TaskStanding, UsedComparison } from './standing.ts';
export { accountedShare, atClock, chargedOf, countPresently, drawLane } from './tape.ts';
export type { Block, DrawnStint, Lane, Presently, SettledDay } from './tape.ts';
