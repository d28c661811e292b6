export { mountCompare } from './routes.ts';
export { findNear } from './periods/near.ts';
export { DueJobEntity, FinishedJobEntity } from './periods/finishedJobs.ts';
export { keepJobs } from './periods/keepJobs.ts';
export { KeptCutEntity } from './periods/keptCuts.ts';
export { costedAs, costsFor, loadLabor, usedOf, warnAtOf, writeComparison } from './taskLabor.ts';
export type { Costs, TaskWithLabor } from './taskLabor.ts';
