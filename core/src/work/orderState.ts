import type { Brand } from '../result/index.ts';

/** One job for one customer or for stock. */
export type WorkOrderId = Brand<string, 'WorkOrderId'>;

/** The life of a work order; only what is released can be worked on at a station. */
export const ORDER_STATES = ['draft', 'accepted', 'released', 'on-hold', 'finished', 'closed'] as const;
export type OrderState = (typeof ORDER_STATES)[number];

/** Whether stations may start labor on an order in this state. */
export const isWorkable = (state: OrderState): boolean => state === 'released';
