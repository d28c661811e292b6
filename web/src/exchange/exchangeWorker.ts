import { expose } from 'comlink';
import { problemSchema } from '@wergon/contract/wire';
import type { Problem } from '@wergon/contract/wire';
import { exportSchema, importAnswerSchema, MOST_ROWS_AT_ONCE } from '@wergon/contract/exchange';
import type { ExchangeKind, ExchangeRow, ImportAnswer } from '@wergon/contract/exchange';
import { restoreText } from '@wergon/core/exchange';
import type { ColumnMatch } from '@wergon/core/exchange';

import { FILE_TYPES, UnreadableFile, readFile, writeCsv, writeXlsx } from '../kit/files/index.ts';
import type { FileFormat, FileProblem, Table } from '../kit/files/index.ts';

/** What came of a step: a "no" of the server with what it said, or why a file cannot be read. */
export type StepResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly file: FileProblem }
  | { readonly ok: false; readonly problem: Problem | null };

export type TableHead = {
  readonly headings: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly count: number;
};
export type Checked = {
  readonly answer: ImportAnswer;
  readonly wrong: Readonly<Record<number, readonly string[]>>;
};
export type WrittenFile = { readonly blob: Blob; readonly name: string };

const SAMPLE = 4;

let table: Table = { headings: [], rows: [] };

class Refused extends Error {
  constructor(readonly problem: Problem | null) {
    super('refused');
  }
}

async function ask(kind: ExchangeKind, init?: RequestInit): Promise<unknown> {
  const response = await fetch(`/api/exchange/${kind}`, init);
  const answer: unknown = await response.json();
  if (!response.ok) throw new Refused(problemSchema.safeParse(answer).data ?? null);
  return answer;
}

/** Sends one step. */
const post = async (kind: ExchangeKind, body: object): Promise<ImportAnswer> =>
  importAnswerSchema.parse(
    await ask(kind, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  );

async function attempt<T>(step: () => Promise<T>): Promise<StepResult<T>> {
  try {
    return { ok: true, value: await step() };
  } catch (error) {
    if (error instanceof UnreadableFile) return { ok: false, file: error.problem };
    return { ok: false, problem: error instanceof Refused ? error.problem : null };
  }
}

const rowOf = (cells: readonly string[], match: ColumnMatch): ExchangeRow =>
  Object.fromEntries(
    Object.entries(match).flatMap(([field, i]) => (i === null ? [] : [[field, restoreText(cells[i] ?? '')]])),
  );

const functions = {
  /** Reads a file and keeps its rows here for the steps that follow. */
  read: (file: File) =>
    attempt(async (): Promise<TableHead> => {
      table = await readFile(await file.arrayBuffer());
      const { headings, rows } = table;
      return { headings, sample: rows.slice(0, SAMPLE), count: rows.length };
    }),
  /** Sends the rows in parts and has all of them checked; `onBegun` is told the import's id after the first part. */
  check: (
    kind: ExchangeKind,
    match: ColumnMatch,
    onBegun: (id: string) => void,
    onProgress: (done: number, of: number) => void,
  ) =>
    attempt(async (): Promise<Checked> => {
      const { rows } = table;
      let id: string | null = null;
      for (let first = 0; first < rows.length; first += MOST_ROWS_AT_ONCE) {
        const part = rows.slice(first, first + MOST_ROWS_AT_ONCE).map((cells) => rowOf(cells, match));
        const received: ImportAnswer = await post(kind, { step: 'rows', import: id, rows: part });
        if (id === null) onBegun(received.import);
        id = received.import;
        onProgress(received.received, rows.length);
      }
      const answer = await post(kind, { step: 'check', import: id });
      const wrong = Object.fromEntries(answer.problems.map(({ row }) => [row, rows[row - 1] ?? []]));
      return { answer, wrong };
    }),
  store: (kind: ExchangeKind, id: string, mode: 'all' | 'good') =>
    attempt(() => post(kind, { step: 'store', import: id, mode })),
  write: (kind: ExchangeKind, format: FileFormat) =>
    attempt(async (): Promise<WrittenFile> => {
      const list = exportSchema.parse(await ask(kind));
      const content = format === 'csv' ? writeCsv(list) : await writeXlsx(kind, list);
      return { blob: new Blob([content], { type: FILE_TYPES[format] }), name: `${kind}.${format}` };
    }),
};
export type ExchangeFunctions = typeof functions;
expose(functions);
