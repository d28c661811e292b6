export { AttachmentEntity, OrderChangeEntity } from './entities.ts';
export { addOrder } from './orders.ts';
export { jobBody, saveStandard, taskBody } from './standards.ts';
