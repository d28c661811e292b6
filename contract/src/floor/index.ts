export { boardSchema, floorSchema, latestSchema } from './board.ts';
export type { BoardJson, FloorJson } from './board.ts';
export { readBoard, readLanes } from './readBoard.ts';
