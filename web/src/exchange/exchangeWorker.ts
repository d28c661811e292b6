import { problemSchema } from '@wergon/contract/wire';
import { exportSchema, importAnswerSchema, MOST_ROWS_AT_ONCE } from '@wergon/contract/exchange';
import type { ExchangeKind, ExchangeRow, ImportAnswer } from '@wergon/contract/exchange';
import { restoreText } from '@wergon/core/exchange';
import type { ColumnMatch } from '@wergon/core/exchange';
import { UnreadableFile, readFile } from './readFile.ts';
import type { Table } from './readFile.ts';
import { writeCsv, writeXlsx } from './writeFile.ts';

export type ExchangeRequest =
  | { readonly type: 'read'; readonly file: File }
  | { readonly type: 'check'; readonly kind: ExchangeKind; readonly match: ColumnMatch }
  | {
      readonly type: 'store';
      readonly kind: ExchangeKind;
      readonly id: string;
      readonly mode: 'all' | 'good';
    }
  | { readonly type: 'write'; readonly kind: ExchangeKind; readonly format: 'csv' | 'xlsx' };

export type ExchangeAnswer =
  | {
      readonly type: 'table';
      readonly headings: readonly string[];
      readonly sample: readonly (readonly string[])[];
      readonly count: number;
    }
  | { readonly type: 'begun'; readonly id: string }
  | { readonly type: 'progress'; readonly done: number; readonly of: number }
  | {
      readonly type: 'checked';
      readonly answer: ImportAnswer;
      readonly wrong: Readonly<Record<number, readonly string[]>>;
    }
  | { readonly type: 'stored'; readonly answer: ImportAnswer }
  | { readonly type: 'file'; readonly blob: Blob; readonly name: string }
  | { readonly type: 'failed'; readonly message: string };

const SAMPLE = 4;
const TYPES = {
  csv: 'text/csv;charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

let table: Table = { headings: [], rows: [] };
const say = (answer: ExchangeAnswer) => self.postMessage(answer);

class Refused extends Error {}

/** Sends one step. */
async function post(kind: ExchangeKind, body: object): Promise<ImportAnswer> {
  const response = await fetch(`/api/exchange/${kind}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  const answer: unknown = await response.json();
  if (response.ok) return importAnswerSchema.parse(answer);
  throw new Refused(problemSchema.safeParse(answer).data?.title ?? 'The server refused it.');
}

const rowOf = (cells: readonly string[], match: ColumnMatch): ExchangeRow =>
  Object.fromEntries(
    Object.entries(match).flatMap(([field, i]) => (i === null ? [] : [[field, restoreText(cells[i] ?? '')]])),
  );

async function check(kind: ExchangeKind, match: ColumnMatch): Promise<void> {
  const { rows } = table;
  let id: string | null = null;
  for (let first = 0; first < rows.length; first += MOST_ROWS_AT_ONCE) {
    const part = rows.slice(first, first + MOST_ROWS_AT_ONCE).map((cells) => rowOf(cells, match));
    const received: ImportAnswer = await post(kind, { step: 'rows', import: id, rows: part });
    if (id === null) say({ type: 'begun', id: received.import });
    id = received.import;
    say({ type: 'progress', done: received.received, of: rows.length });
  }
  const answer = await post(kind, { step: 'check', import: id });
  const wrong = Object.fromEntries(answer.problems.map(({ row }) => [row, rows[row - 1] ?? []]));
  say({ type: 'checked', answer, wrong });
}

async function write(kind: ExchangeKind, format: 'csv' | 'xlsx'): Promise<void> {
  const response = await fetch(`/api/exchange/${kind}`);
  if (!response.ok) throw new Refused('The server refused it.');
  const list = exportSchema.parse(await response.json());
  const content = format === 'csv' ? writeCsv(list) : await writeXlsx(kind, list);
  say({ type: 'file', blob: new Blob([content], { type: TYPES[format] }), name: `${kind}.${format}` });
}

async function answer(request: ExchangeRequest): Promise<void> {
  switch (request.type) {
    case 'read': {
      table = await readFile(await request.file.arrayBuffer());
      const { headings, rows } = table;
      return say({ type: 'table', headings, sample: rows.slice(0, SAMPLE), count: rows.length });
    }
    case 'check':
      return check(request.kind, request.match);
    case 'store':
      return say({
        type: 'stored',
        answer: await post(request.kind, { step: 'store', import: request.id, mode: request.mode }),
      });
    case 'write':
      return write(request.kind, request.format);
  }
}

self.onmessage = ({ data }: MessageEvent<ExchangeRequest>) => {
  answer(data).catch((error: unknown) => {
    const isKnown = error instanceof UnreadableFile || error instanceof Refused;
    say({
      type: 'failed',
      message: isKnown ? error.message : 'The server does not answer, or the file cannot be read.',
    });
  });
};
