import { expose } from 'comlink';
import Papa from 'papaparse';
import { FILE_TYPES, writeXlsx } from '../kit/files/index.ts';

const functions = {
  /** A pay file's rows as a workbook. */
  write: async (text: string, separator: string): Promise<Blob> => {
    const { data } = Papa.parse<string[]>(text.trimEnd(), { delimiter: separator });
    const [columns = [], ...rows] = data;
    return new Blob([await writeXlsx('Pay', { columns, rows })], { type: FILE_TYPES.xlsx });
  },
};
export type PayFileFunctions = typeof functions;
expose(functions);
