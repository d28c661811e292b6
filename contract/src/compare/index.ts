export {
  comparisonSchema,
  orderSchema,
  pastWorkQuery,
  pastWorkSchema,
  unitHistorySchema,
  workSchema,
} from './orders.ts';
export type { ComparisonJson, LineRow, OrderJson, OrderRow, TaskRow, UnitHistoryJson } from './orders.ts';
export { resetCostSchema, setCostSchema } from './setCost.ts';
export { whySchema } from './why.ts';
export type { AgainstJson, WhyJson } from './why.ts';
export { storyQuery, storySchema } from './story.ts';
export type { StoryJson } from './story.ts';
