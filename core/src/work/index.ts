export { estimateCost, estimateSeconds } from './estimate.ts';
export type { EstimateHours } from './estimate.ts';
export { ORDER_STATES, isWorkable } from './orderState.ts';
export type { OrderState, WorkOrderId } from './orderState.ts';
export { WORK_TYPES, withAlwaysIncluded } from './workType.ts';
export type { WorkType } from './workType.ts';
