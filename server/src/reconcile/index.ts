export { writeDecision } from './decisions.ts';
export { DraftEntity } from './entities.ts';
export { findOpenLooseEnds } from './looseEnds.ts';
