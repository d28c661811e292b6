export { balanceOf, balanceOfTasks, formatBalance, isPastEstimate } from './balance.ts';
export type { Balance, BalanceInput, OrderBalance } from './balance.ts';
export { compareTask, sumComparisons } from './compare.ts';
export type { Comparison, Expected } from './compare.ts';
export { drawYardstick } from './yardstick.ts';
export type { Yardstick, YardstickFill } from './yardstick.ts';
export { atStandardCost, standardRateOn } from './standardCost.ts';
export type { NamedGrade, StandardFacts } from './standardCost.ts';
