export {
  changeOrderStateSchema,
  lineDetailSchema,
  lineQuerySchema,
  newOrderSchema,
  orderSchema,
  workSchema,
} from './work.ts';
export type { ComparisonJson, LineDetail, LineRow, NewOrder, OrderJson, OrderRow, TaskRow } from './work.ts';
