import Papa from 'papaparse';

/** A file as a table of texts: its first row is the headings. */
export type Table = { readonly headings: readonly string[]; readonly rows: readonly (readonly string[])[] };

/** Why a file cannot be read. */
export type FileProblem =
  'empty' | 'too-large' | 'no-headings' | 'no-rows' | 'no-table' | 'broken' | 'no-sheet';
export class UnreadableFile extends Error {
  constructor(readonly problem: FileProblem) {
    super(problem);
  }
}

const MOST_BYTES = 30 * 1024 * 1024;

/** Reads a CSV or XLSX file, told apart by what is in it, not by its name. Throws `UnreadableFile`. */
export async function readFile(bytes: ArrayBuffer): Promise<Table> {
  if (bytes.byteLength === 0) throw new UnreadableFile('empty');
  if (bytes.byteLength > MOST_BYTES) throw new UnreadableFile('too-large');
  const head = new Uint8Array(bytes.slice(0, 4096));
  const isZip = head[0] === 0x50 && head[1] === 0x4b;
  const table = isZip ? await readWorkbook(bytes) : readCsv(decode(bytes, head));
  if (table.headings.every((heading) => heading.trim() === '')) throw new UnreadableFile('no-headings');
  if (table.rows.length === 0) throw new UnreadableFile('no-rows');
  return table;
}

/** Text in UTF-8 with or without its mark, in UTF-16 with its mark, or else in Windows-1252. */
export function decode(bytes: ArrayBuffer, head: Uint8Array): string {
  if (head[0] === 0xff && head[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (head.includes(0)) throw new UnreadableFile('no-table');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

export function readCsv(text: string): Table {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const [headings = [], ...rows] = data;
  return { headings, rows };
}

async function readWorkbook(bytes: ArrayBuffer): Promise<Table> {
  const { Workbook } = (await import('exceljs')).default;
  const book = new Workbook();
  try {
    await book.xlsx.load(bytes);
  } catch {
    throw new UnreadableFile('broken');
  }
  const sheet = book.worksheets.find(({ rowCount }) => rowCount > 0);
  if (!sheet) throw new UnreadableFile('no-sheet');
  const rows: string[][] = [];
  const width = sheet.columnCount;
  sheet.eachRow((row) => {
    rows.push(Array.from({ length: width }, (_cell, i) => textOf(row.getCell(i + 1).value)));
  });
  const [headings = [], ...rest] = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  return { headings, rows: rest };
}

/** What a cell shows: dates as days, formulas as what they came to. */
function textOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean')
    return String(value);
  if (typeof value !== 'object') return '';
  if ('result' in value) return textOf(value.result);
  if ('richText' in value && Array.isArray(value.richText)) return value.richText.map(textOf).join('');
  if ('text' in value) return textOf(value.text);
  return '';
}
