export { BADGE_SIZE, CODE_SIZE, LONG_SIZE, layoutCells } from './cells.ts';
export type { LabelCell } from './cells.ts';
export { PAPERS, SYMBOLOGIES } from './sheet.ts';
export type { CodeSymbol, Paper, Sheet, Symbology } from './sheet.ts';
export { toSvg } from './toSvg.ts';
export { layoutTravelers } from './traveler.ts';
export type { Traveler } from './traveler.ts';
