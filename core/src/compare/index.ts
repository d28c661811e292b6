export { balanceOf, balanceOfTasks, formatBalance, isLow, isPastEstimate } from './balance.ts';
export type { Balance } from './balance.ts';
export { compareTask, sumComparisons } from './compare.ts';
export type { Comparison } from './compare.ts';
export { orderPieces, piecesPerRunHour, sumByCostCode } from './pieces.ts';
export type { OrderPieces, Pieces } from './pieces.ts';
export { atStandardCost } from './standardCost.ts';
export type { NamedGrade, StandardFacts } from './standardCost.ts';
export { drawYardstick } from './yardstick.ts';
