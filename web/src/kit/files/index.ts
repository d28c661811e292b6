export { FILE_TYPES, writeCsv, writeXlsx } from './writeFile.ts';
export type { FileFormat } from './writeFile.ts';
export { UnreadableFile, readFile } from './readFile.ts';
export type { FileProblem, Table } from './readFile.ts';
