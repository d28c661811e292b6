export { boardChangesSchema, boardSchema, floorChangesSchema, floorSchema, latestSchema } from './board.ts';
export type { BoardChanges, BoardJson, FloorChanges, FloorJson } from './board.ts';
export { mergeBoard, mergeBy, mergeFloor } from './merge.ts';
export { readBoard, readLanes } from './readBoard.ts';
