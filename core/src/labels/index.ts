export { BADGE_SIZE, CODE_SIZE, LONG_SIZE, layoutCells } from './cells.ts';
export type { CellSize, LabelCell, LabelStyle } from './cells.ts';
export { PAGE_SIZES, PAPERS, SYMBOLOGIES } from './sheet.ts';
export type { CodeSymbol, DrawSymbol, Item, Paper, Sheet, Symbology } from './sheet.ts';
export { toSvg } from './toSvg.ts';
export { layoutTravelers } from './traveler.ts';
export type { Traveler } from './traveler.ts';
