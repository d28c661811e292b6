export {
  TECHNICIAN_KINDS,
  badgeCodeSchema,
  bindBadgeSchema,
  changePinSchema,
  checkPinSchema,
  issueBadgeSchema,
  namesSchema,
  newGradeSchema,
  ownLabelSchema,
  patternSchema,
  peopleSchema,
  planSchema,
  setPinSchema,
  technicianSchema,
} from './people.ts';
export type { TechnicianFields, TechnicianRow } from './people.ts';
export { newRateSchema, payRecordSchema, rateEffectSchema, ratesSchema } from './rates.ts';
export type { PayRecord, RateEffect, RatesJson } from './rates.ts';
