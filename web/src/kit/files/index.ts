export { FILE_TYPES, writeCsv, writeXlsx } from './writeFile.ts';
export type { FileFormat } from './writeFile.ts';
