export { isAboveAttended } from './aboveAttended.ts';
export { adjustmentsOf, classAdjustmentsOf } from './adjustments.ts';
export type { ClosedClasses, ClosedLine } from './adjustments.ts';
export { closeDays, owedOf, periodsUpTo, periodToClose, refuseClosing } from './closing.ts';
export type { ClosingRefusal, Owed, PayDay, PersonDay } from './closing.ts';
export { PAY_PERIOD_KINDS, payPeriodOf } from './payPeriod.ts';
export type { PayPeriod, PayRule } from './payPeriod.ts';
export { byShiftDay, derivePay, joinPay, payOfWeek, payOfWeeks } from './derivePay.ts';
export type { PaidDay, PayFacts, PersonPay } from './derivePay.ts';
export type { DecidedSplit } from './classify.ts';
export {
  PREMIUM_ON,
  USUAL_MULTIPLIERS,
  findTierOutOfOrder,
  payCalendar,
  payWeeks,
  weeksBetween,
} from './overtimeRule.ts';
export type { OvertimeRule, PayTier, PayWeek } from './overtimeRule.ts';
export { paidAwayOf } from './paidAway.ts';
export type { AwayFacts, Guarantee, Leave, PaidAway } from './paidAway.ts';
export { PAY_CLASSES, highestOf, isPayClass } from './payClass.ts';
export type { ClassSeconds, DayClasses, PayClass } from './payClass.ts';
export { PAY_BASES, portionsOf } from './portions.ts';
export type { PaidTime, PayBasis, Portion } from './portions.ts';
export { stagesAhead } from './stages.ts';
export type { PaidSoFar, Stage } from './stages.ts';
