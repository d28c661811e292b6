import { fail, ok } from '../result/index.ts';
import type { Brand, Result } from '../result/index.ts';
import type { LocalDay } from '../time/index.ts';

/** One job for one customer or for stock. */
export type WorkOrderId = Brand<string, 'WorkOrderId'>;

/** The life of a work order; only what is released can be worked on at a station. Where a shop makes offers it begins with
 *  an estimate that is asked for, is offered, and may be lost. */
export const ORDER_STATES = [
  'asked',
  'offered',
  'lost',
  'draft',
  'accepted',
  'released',
  'on-hold',
  'finished',
  'closed',
] as const;
export type OrderState = (typeof ORDER_STATES)[number];

/** Whether an order should have been finished before today and is not. */
export const isLate = (
  { due, state }: { readonly due: LocalDay | null; readonly state: OrderState },
  today: LocalDay,
): boolean => due !== null && due < today && !isOver(state);

/** Whether nothing is to be done on an order any more: its work is behind it, or it was lost. */
export const isOver = (state: OrderState): boolean => state === 'lost' || isBehind(state);
/** Whether the work of an order is behind it. */
export const isBehind = (state: OrderState): boolean => state === 'finished' || state === 'closed';

/** Whether stations may start labor on an order in this state. */
export const isWorkable = (state: OrderState): boolean => state === 'released';

/** From each state, the ones that may follow by hand; an offer is made, and answered, as one (`work/offer`). */
export const ORDER_MOVES: Readonly<Record<OrderState, readonly OrderState[]>> = {
  asked: ['draft', 'lost'],
  offered: ['asked', 'lost'],
  lost: ['asked'],
  draft: ['accepted', 'released'],
  accepted: ['released', 'draft'],
  released: ['on-hold', 'finished'],
  'on-hold': ['released', 'finished'],
  finished: ['released', 'closed'],
  closed: ['finished'],
};

export const ORDER_MOVE_ERROR_CODES = ['order.no_such_move', 'order.no_tasks'] as const;
export type OrderMoveErrorCode = (typeof ORDER_MOVE_ERROR_CODES)[number];

/** Whether an order may go to another state: only along `ORDER_MOVES`, and never to the floor without a task.
 *  `taskCount` counts the tasks that were accepted. */
export function checkMove(
  order: { readonly state: OrderState; readonly taskCount: number },
  to: OrderState,
): Result<OrderState, OrderMoveErrorCode> {
  if (!ORDER_MOVES[order.state].includes(to)) return fail('order.no_such_move', { from: order.state, to });
  if (to === 'released' && order.taskCount === 0) return fail('order.no_tasks');
  return ok(to);
}
