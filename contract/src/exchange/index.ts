export {
  MOST_ROWS,
  MOST_ROWS_AT_ONCE,
  exportSchema,
  importAnswerSchema,
  importStepSchema,
} from './exchange.ts';
export type { ImportAnswer } from './exchange.ts';
export {
  COLUMNS,
  EXCHANGE_KINDS,
  hoursRowSchema,
  orderRowSchema,
  personRowSchema,
  rateRowSchema,
  standardRowSchema,
} from './kinds.ts';
export type { ExchangeKind, ExchangeRow, HoursRow } from './kinds.ts';
export { replayScenario } from './replay.ts';
