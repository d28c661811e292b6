export { createDeskAct } from './deskAct.ts';
export type { Planner } from './deskAct.ts';
export type { Scene } from './effect.ts';
export { findFloorEnds } from './floorEnds.ts';
export { RECONCILE_DAYS, findOpenLooseEnds, keepOpen } from './looseEnds.ts';
export { mountLooseEnds } from './routes.ts';
