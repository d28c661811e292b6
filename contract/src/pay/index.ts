export {
  TIERS_OUT_OF_ORDER,
  overHours,
  overtimeSchema,
  overtimeTermsSchema,
  payGroupsSchema,
  saveOvertimeSchema,
  savePayGroupSchema,
  triedOvertimeSchema,
  tryOvertimeSchema,
} from './overtime.ts';
export type { OvertimeChange, OvertimeJson, OvertimeTerms, TriedOvertime } from './overtime.ts';
export {
  daySplitQuery,
  daySplitSchema,
  decideSplitsSchema,
  resetSplitsSchema,
  triedSplitSchema,
  trySplitSchema,
} from './split.ts';
export type { DaySplit } from './split.ts';
export {
  closePeriodSchema,
  payPeriodSchema,
  payPeriodsSchema,
  periodQuery,
  reopenPeriodSchema,
} from './pay.ts';
export type { PayPeriodJson } from './pay.ts';
export {
  NEEDS_FINER_ROWS,
  PAY_KINDS,
  madePayFileSchema,
  makePayFileSchema,
  payFileQuery,
  payFileSchema,
  payFileTextQuery,
  payFileTextSchema,
  payFormsSchema,
  payLayoutSchema,
  removePayLayoutSchema,
  savePayCodesSchema,
  savePayLayoutSchema,
  triedPayLayoutSchema,
  tryPayLayoutSchema,
  withdrawPayFileSchema,
} from './payFile.ts';
export type { PayFileJson, PayFileSum, PayLayoutJson } from './payFile.ts';
export {
  payrollSchema,
  takePayrollSchema,
  triedPayrollSchema,
  tryPayrollSchema,
  withdrawPayrollSchema,
} from './payroll.ts';
export type { PayrollJson, PayrollRow, TriedPayroll } from './payroll.ts';
export {
  absenceDaysSchema,
  absenceSchema,
  addedAbsenceSchema,
  askTimeOffSchema,
  leaveBalancesSchema,
  ownTimeOffSchema,
  saveAllowanceSchema,
  timeOffQuery,
  timeOffSchema,
  withdrawTimeOffSchema,
  yearQuery,
} from './timeOff.ts';
export type { OwnTimeOffJson, TimeOffJson } from './timeOff.ts';
export { guaranteesSchema, saveGuaranteeSchema } from './guarantee.ts';
