import Papa from 'papaparse';
import { neutralize } from '@wergon/core/exchange';

type Written = { readonly columns: readonly string[]; readonly rows: readonly (readonly string[])[] };

/** The forms in which lists go out, and what they are called on the wire. */
export const FILE_TYPES = {
  csv: 'text/csv;charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;
export type FileFormat = keyof typeof FILE_TYPES;

/** A list as CSV (RFC 4180) in UTF-8 with its mark, which spreadsheets need to see. */
export const writeCsv = ({ columns, rows }: Written): string =>
  `\uFEFF${Papa.unparse({ fields: [...columns], data: rows.map((row) => row.map(neutralize)) })}\r\n`;

/** A list as a workbook of one sheet; everything is text, so that nothing is a formula and no number loses its zeros. The
 *  same list is the same bytes, whenever it is written. */
export async function writeXlsx(name: string, { columns, rows }: Written): Promise<ArrayBuffer> {
  const { Workbook } = (await import('exceljs')).default;
  const book = new Workbook();
  [book.created, book.modified] = [NO_TIME, NO_TIME];
  const sheet = book.addWorksheet(name);
  sheet.addRow([...columns]).font = { bold: true };
  for (const row of rows) sheet.addRow(row.map(neutralize));
  const bytes = Uint8Array.from(new Uint8Array(await book.xlsx.writeBuffer()));
  clearTimes(new DataView(bytes.buffer));
  return bytes.buffer;
}

const NO_TIME = new Date(0);
/** Signatures of a ZIP file: of its directory's end, of a file in it, and of that file itself (APPNOTE 4.3). */
const [END, LISTED, FILE] = [0x06054b50, 0x02014b50, 0x04034b50];
const END_LENGTH = 22;
/** 1 January 1980, the first that a ZIP file knows. */
const FIRST_DAY = 0x0021;

/** Takes out of a ZIP file when each of its files was packed. */
function clearTimes(zip: DataView): void {
  let end = zip.byteLength - END_LENGTH;
  while (end >= 0 && zip.getUint32(end, true) !== END) end -= 1;
  if (end < 0) return;
  let at = zip.getUint32(end + 16, true);
  while (at < end && zip.getUint32(at, true) === LISTED) {
    const file = zip.getUint32(at + 42, true);
    for (const time of zip.getUint32(file, true) === FILE ? [at + 12, file + 10] : [at + 12]) {
      zip.setUint16(time, 0, true);
      zip.setUint16(time + 2, FIRST_DAY, true);
    }
    const lengths = [28, 30, 32].map((place) => zip.getUint16(at + place, true));
    at += 46 + lengths.reduce((sum, length) => sum + length, 0);
  }
}
