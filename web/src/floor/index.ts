export { default as HourTicks } from './HourTicks.vue';
export { default as RequestLines } from './RequestLines.vue';
export { fittingLabel, tintOf, tintsOf } from './jobLook.ts';
export { sayOvertime } from './laneWords.ts';
export { floorPages } from './pages.ts';
export { createHourScale } from './tapeScale.ts';
export type { TapeScale } from './tapeScale.ts';
export { default as WallApp } from './wall/WallApp.vue';
export { forgetWall } from './wall/wallStore.ts';
