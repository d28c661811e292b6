export { boardSchema, floorSchema, latestSchema, usedSchema } from './board.ts';
export type { BoardJson, FloorJson } from './board.ts';
export { readBoard, readDay, readInstant, readLanes } from './readBoard.ts';
