export { createEditService } from './editService.ts';
export type { EditPlanner } from './editService.ts';
export type { EditScope } from './effect.ts';
export { findFloorEnds } from './floorEnds.ts';
export { RECONCILE_DAYS, findOpenLooseEnds, keepOpen } from './looseEnds.ts';
export { mountLooseEnds } from './routes.ts';
