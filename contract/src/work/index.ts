export {
  ATTACHMENT_TYPES,
  MOST_ATTACHMENT_BYTES,
  REPORT_KINDS,
  REPORT_TIMES,
  attachmentSchema,
  changeOrderStateSchema,
  duplicateSchema,
  estimateText,
  finishTaskSchema,
  newAttachmentSchema,
  newOrderSchema,
  priceText,
  releaseOrdersSchema,
  releasedSchema,
  saveOrderSchema,
  travelersBodySchema,
  travelersSchema,
} from './order.ts';
export type { NewOrder, NewOrderInput, TaskFields } from './order.ts';
export {
  SCOPE_KINDS,
  saveStandardJobSchema,
  saveStandardTaskSchema,
  standardJobSchema,
  standardTaskSchema,
  standardVersionsSchema,
  standardsSchema,
} from './standard.ts';
export type { StandardJobFields, StandardJobJson, StandardTaskFields, StandardTaskJson } from './standard.ts';
export {
  comparisonSchema,
  lineDetailSchema,
  lineQuerySchema,
  orderSchema,
  preparationSchema,
  unapprovedWorkSchema,
  pastWorkQuery,
  pastWorkSchema,
  workSchema,
} from './work.ts';
export type {
  ComparisonJson,
  LineDetail,
  LineRow,
  OrderJson,
  OrderRow,
  Preparation,
  TaskRow,
} from './work.ts';
export { storyQuery, storySchema } from './story.ts';
export type { StoryJson } from './story.ts';
