import { expose } from 'comlink';
import Papa from 'papaparse';
import { FILE_TYPES, UnreadableFile, readFile, writeXlsx } from '../kit/files/index.ts';
import type { FileProblem, Table } from '../kit/files/index.ts';

const functions = {
  /** A pay file's rows as a workbook. */
  write: async (text: string, separator: string): Promise<Blob> => {
    const { data } = Papa.parse<string[]>(text.trimEnd(), { delimiter: separator });
    const [columns = [], ...rows] = data;
    return new Blob([await writeXlsx('Pay', { columns, rows })], { type: FILE_TYPES.xlsx });
  },
  /** What somebody's payroll wrote, as a table, or why it cannot be read. */
  read: async (file: File): Promise<Table | FileProblem> => {
    try {
      return await readFile(await file.arrayBuffer());
    } catch (error) {
      if (error instanceof UnreadableFile) return error.problem;
      throw error;
    }
  },
};
export type PayFileFunctions = typeof functions;
expose(functions);
