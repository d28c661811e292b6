export { looseEndsSchema } from './reconcile.ts';
export type { LooseEndsJson } from './reconcile.ts';
