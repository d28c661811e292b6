export { isAboveAttended } from './aboveAttended.ts';
export { adjustmentsOf } from './adjustments.ts';
export type { ClosedClasses, ClosedLine } from './adjustments.ts';
export { closeDays, owedOf, periodsUpTo, periodToClose, refuseClosing } from './closing.ts';
export type { ClosingRefusal, Owed, PayDay, PersonDay } from './closing.ts';
export { PAY_PERIOD_KINDS, payPeriodOf } from './payPeriod.ts';
export type { PayPeriod, PayRule } from './payPeriod.ts';
export { byShiftDay, derivePay, joinPay, payOfWeek, payOfWeeks, sharesOfWeeks } from './derivePay.ts';
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
export { leaveBalances, leaveTakes } from './leaveBalance.ts';
export type { LeaveBalance } from './leaveBalance.ts';
export { paidAwayOf, timeAwayOn } from './paidAway.ts';
export type { AwayFacts, Guarantee, Leave, LeaveFacts, PaidAway, TimeAway } from './paidAway.ts';
export { sumClasses } from './classSums.ts';
export type { ClassSums } from './classSums.ts';
export { PAY_CLASSES, highestOf, isPayClass } from './payClass.ts';
export type { ClassSeconds, DayClasses, PayClass } from './payClass.ts';
export { PAY_BASES, portionsOf } from './portions.ts';
export type { PaidTime, PayBasis, Portion } from './portions.ts';
export { stagesAhead } from './stages.ts';
export type { PaidSoFar, Stage } from './stages.ts';
export { classesOf, workedLinesOf, workedOfClasses } from './worked.ts';
export type { WorkedLine } from './worked.ts';
export { WORKED_ON, keyOfKind, payCodeOf, payLinesOf } from './payLines.ts';
export type { OwnAway, PayCodes, PayKind, PayLine, WorkedOn } from './payLines.ts';
export { PAY_FILE_ROWS, keyOfMissing, payRowsOf, sortForPay } from './payFile.ts';
export type { Covered, MissingForPay, PayFileRows, PayPerson, PayRow } from './payFile.ts';
export {
  DATE_FORMS,
  DECIMALS,
  PAY_FIELDS,
  SEPARATORS,
  findEmptyColumn,
  writeHundredths,
  writePayCells,
} from './payLayout.ts';
export type { PayField, PayLayout, PayNames, Separator } from './payLayout.ts';
export { notJobsCost, trueUpOf } from './trueUp.ts';
export type { TrueUp } from './trueUp.ts';
