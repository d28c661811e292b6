export { accountedSchema } from './accounted.ts';
export type { AccountedJson } from './accounted.ts';
