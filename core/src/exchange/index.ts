export { guessColumns } from './columns.ts';
export type { Column, ColumnMatch } from './columns.ts';
export { neutralize, readDate, readNumber, restoreText } from './values.ts';
