export {
  closePeriodSchema,
  payPeriodSchema,
  payPeriodsSchema,
  periodQuery,
  reopenPeriodSchema,
} from './pay.ts';
export type { PayPeriodJson } from './pay.ts';
