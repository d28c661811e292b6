export { accountedSchema } from './accounted.ts';
export type { AccountedJson } from './accounted.ts';
export {
  askCardSchema,
  askOwnCardSchema,
  askOwnTimeSchema,
  cardSchema,
  confirmOwnDaysSchema,
  confirmOwnTimeSchema,
  ownTimeSchema,
} from './card.ts';
export type { CardJson, OwnTimeJson } from './card.ts';
