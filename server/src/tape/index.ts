export { loadGround, refuseEdit } from './editContext.ts';
export { findFull } from './fullDays.ts';
export { findHours } from './records.ts';
export { mountTape } from './routes.ts';
