export { isAboveAttended } from './aboveAttended.ts';
export { adjustmentsOf } from './adjustments.ts';
export type { ClosedLine } from './adjustments.ts';
export { closeDays, owedOf, periodsUpTo, periodToClose, refuseClosing } from './closing.ts';
export type { ClosingRefusal, Owed, PayDay, PersonDay } from './closing.ts';
export { PAY_PERIOD_KINDS, payPeriodOf } from './payPeriod.ts';
export type { PayPeriod, PayRule } from './payPeriod.ts';
