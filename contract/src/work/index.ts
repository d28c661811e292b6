export {
  answerOfferSchema,
  askEstimateSchema,
  estimatesSchema,
  mailOfferSchema,
  mailsSchema,
  offerDraftSchema,
  orderOffersSchema,
} from './offer.ts';
export type { EstimateJson, OfferDraftInput, OfferJson, OrderOffersJson } from './offer.ts';
export {
  MOST_ATTACHMENT_BYTES,
  REPORT_KINDS,
  REPORT_TIMES,
  attachmentSchema,
  changeOrderStateSchema,
  duplicateSchema,
  finishTaskSchema,
  newAttachmentSchema,
  newOrderSchema,
  originSchema,
  priceText,
  releaseOrdersSchema,
  releasedSchema,
  saveOrderSchema,
  taskPapersSchema,
} from './order.ts';
export type { NewOrder, NewOrderInput, TaskFields } from './order.ts';
export { preparationSchema } from './preparation.ts';
export type { Preparation } from './preparation.ts';
export {
  SCOPE_KINDS,
  saveStandardJobSchema,
  saveStandardTaskSchema,
  standardJobSchema,
  standardTaskSchema,
  standardVersionsSchema,
  standardsSchema,
  stepJson,
} from './standard.ts';
export type { StandardJobFields, StandardJobJson, StandardTaskFields, StandardTaskJson } from './standard.ts';
export {
  makeDueOrderSchema,
  newReadingSchema,
  newRecurrenceSchema,
  recurrenceFieldsSchema,
  recurringQuery,
  recurringSchema,
} from './recurring.ts';
export type { RecurrenceJson } from './recurring.ts';
