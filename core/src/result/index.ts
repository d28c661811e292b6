export { findIn, getFrom, given, groupBy, isRecord, itemAt, keysOf, tableOf } from './lists.ts';
export { Defect, fail, ok } from './result.ts';
export type { Brand, Params, Refusal, Result } from './result.ts';
