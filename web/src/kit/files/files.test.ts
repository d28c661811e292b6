import ExcelJS from 'exceljs';
import { readFile } from './readFile.ts';
import { writeCsv, writeXlsx } from './writeFile.ts';

const bytesOf = (data: Buffer | string): ArrayBuffer => {
  const buffer = Buffer.from(data as string);
  return buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer;
};
const TEXT = 'Number;Name\r\n1;Åse Øverby\r\n2;"Bo; the ""younger"""\r\n\r\n';
const TABLE = {
  headings: ['Number', 'Name'],
  rows: [
    ['1', 'Åse Øverby'],
    ['2', 'Bo; the "younger"'],
  ],
};

test.each([
  [Buffer.from(TEXT, 'utf8'), 'UTF-8 without its mark'],
  [Buffer.from(`\uFEFF${TEXT}`, 'utf8'), 'UTF-8 with its mark'],
  [Buffer.from(TEXT, 'latin1'), 'Windows-1252'],
  [Buffer.from(`\uFEFF${TEXT}`, 'utf16le'), 'UTF-16 as spreadsheets write it'],
  [Buffer.from(TEXT.replaceAll(';', '\t').replace('"Bo\t', '"Bo;'), 'utf8'), 'tabs'],
])('%#: %s', async (data, why) => {
  const table = await readFile(bytesOf(data));
  expect([why, table]).toEqual([why, TABLE]);
});

test.each([
  ['', 'empty'],
  ['Number;Name\n', 'no-rows'],
  [Buffer.from('89504e470d0a1a0a0000000d', 'hex'), 'no-table'],
  [Buffer.from('PK\u0003\u0004 this is no workbook'), 'broken'],
])('%#: a file that cannot be read is refused, with why: %s', async (data, message) =>
  expect(readFile(bytesOf(data as string))).rejects.toThrow(message),
);

test('a workbook gives dates as days, formulas as what they came to, and passes over empty rows', async () => {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('x');
  sheet.addRow(['Number', 'Due', 'Hours', 'Text']);
  sheet.addRow([]);
  sheet.addRow([
    24105,
    new Date('2026-12-01T00:00:00Z'),
    { formula: '1+1', result: 2 },
    { richText: [{ text: 'a' }, { text: 'b' }] },
  ]);
  const table = await readFile((await book.xlsx.writeBuffer()) as unknown as ArrayBuffer);
  expect(table).toEqual({
    headings: ['Number', 'Due', 'Hours', 'Text'],
    rows: [['24105', '2026-12-01', '2', 'ab']],
  });
});

describe('what goes out', () => {
  const list = {
    columns: ['Number', 'Name'],
    rows: [
      ['007', '=cmd|x'],
      ['8', 'Åse, "the" one'],
    ],
  };
  const safe = [
    ['007', "'=cmd|x"],
    ['8', 'Åse, "the" one'],
  ];
  test('as CSV is read back, with formulas made harmless', async () =>
    expect(await readFile(bytesOf(writeCsv(list)))).toEqual({ headings: list.columns, rows: safe }));
  test('as XLSX is read back, with formulas made harmless', async () =>
    expect(await readFile(await writeXlsx('people', list))).toEqual({ headings: list.columns, rows: safe }));
});

test('the same list is the same workbook, byte by byte, whenever it is written, and still opens', async () => {
  const list = { columns: ['Number', 'Name'], rows: TABLE.rows };
  const first = await writeXlsx('Pay', list);
  jest.useFakeTimers({
    now: Date.now() + 400 * 86_400_000,
    doNotFake: ['nextTick', 'setImmediate', 'setTimeout'],
  });
  const later = await writeXlsx('Pay', list);
  jest.useRealTimers();
  expect(new Uint8Array(later)).toEqual(new Uint8Array(first));
  expect(await readFile(later)).toEqual(TABLE);
  const other = await writeXlsx('Pay', { ...list, rows: [['3', 'Cy']] });
  expect(new Uint8Array(other)).not.toEqual(new Uint8Array(first));
});
