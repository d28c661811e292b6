export { isAboveAttended } from './aboveAttended.ts';
export { adjustmentsOf } from './adjustments.ts';
export type { ClosedLine } from './adjustments.ts';
export { PAY_PERIOD_KINDS, payPeriodOf } from './payPeriod.ts';
export type { PayPeriod, PayRule } from './payPeriod.ts';
