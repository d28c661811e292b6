export { loadAway } from './away.ts';
export { closingOf, findOwed, nextPeriod, openPeriods } from './periods.ts';
export { mountPay } from './routes.ts';
export { GuaranteeEntity, PayCodeEntity, PayLayoutEntity } from './entities.ts';
export { loadPeriodPay, payFileDecision, payFileNow } from './files.ts';
export { judgePayroll } from './payroll.ts';
