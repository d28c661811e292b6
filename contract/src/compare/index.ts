export { comparisonSchema, orderSchema, pastWorkQuery, pastWorkSchema, workSchema } from './orders.ts';
export type { ComparisonJson, LineRow, OrderJson, OrderRow, TaskRow } from './orders.ts';
export { storyQuery, storySchema } from './story.ts';
export type { StoryJson } from './story.ts';
