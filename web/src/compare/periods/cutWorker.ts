import { expose } from 'comlink';
import { cutSchema } from '@wergon/contract/compare';
import type { CutRow } from '@wergon/contract/compare';
import { FILE_TYPES, writeCsv, writeXlsx } from '../../kit/files/index.ts';
import type { FileFormat } from '../../kit/files/index.ts';

/** What a file of a cut is made of: where its rows are got, its headings, and words that stand for keys. */
export type CutFile = {
  readonly path: string;
  readonly format: FileFormat;
  readonly name: string;
  readonly heads: readonly string[];
  readonly words: Readonly<Record<string, string>>;
};

/** What whole tasks were to take, in hours, what they differ by, and their pieces; empty where a group is not made of such. */
const cellsOf = ({ tasks }: CutRow): string[] =>
  tasks === null
    ? ['', '', '', '', '']
    : [
        (tasks.estimatedSeconds / 3600).toFixed(2),
        (tasks.difference.differenceSeconds / 3600).toFixed(2),
        (tasks.difference.difference / 100).toFixed(2),
        String(tasks.pieces?.good ?? ''),
        String(tasks.pieces?.scrap ?? ''),
      ];

const functions = {
  /** All rows of a cut as a file; `null` where the server gives none. Exact seconds stand beside hours, so that sums of the
   *  file are those of the page. */
  write: async ({ path, format, name, heads, words }: CutFile): Promise<Blob | null> => {
    const response = await fetch(path);
    if (!response.ok) return null;
    const { groups } = cutSchema.parse(await response.json());
    const hasTasks = groups.some(({ tasks }) => tasks !== null);
    const rows = groups.map((row) => [
      ...row.names.map((each) => words[each] ?? each),
      (row.seconds / 3600).toFixed(2),
      String(row.seconds),
      String(row.measuredSeconds),
      String(row.sharedSeconds),
      String(row.enteredSeconds),
      (row.cost / 100).toFixed(2),
      ...(hasTasks ? cellsOf(row) : []),
    ]);
    const list = { columns: heads, rows };
    const content = format === 'csv' ? writeCsv(list) : await writeXlsx(name, list);
    return new Blob([content], { type: FILE_TYPES[format] });
  },
};
export type CutFunctions = typeof functions;
expose(functions);
