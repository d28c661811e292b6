export type { WorkContext } from './editing.ts';
export {
  AttachmentEntity,
  OrderChangeEntity,
  OrderEntity,
  StandardEntity,
  StandardVersionEntity,
  TaskEntity,
  TravelerCodeEntity,
} from './entities.ts';
export type { HoursText, Standard, Task, WorkOrder } from './entities.ts';
export { EstimateAskEntity, MailEntity, OfferEntity } from './offerEntities.ts';
export { moveOrder } from './move.ts';
export { keepChanges } from './changes.ts';
export type { Changer } from './changes.ts';
export { firstEstimateOf, readHours } from './taskEstimate.ts';
export { addOrder, addWrittenTask, newOrderRows } from './orders.ts';
export { mountWork } from './routes.ts';
export { jobBody, saveStandard, taskBody } from './standards.ts';
export { RecurrenceEntity, UnitReadingEntity } from './recurringEntities.ts';
