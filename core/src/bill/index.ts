export { DEFAULT_BILLING, ROUND_UP_MINUTES, chargeRowsOf, fixedChargeOf } from './charges.ts';
export type { BillableDecision, BillingRules, ChargeFacts, ChargeRate, ChargeRow } from './charges.ts';
