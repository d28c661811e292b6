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

/** A list as a workbook of one sheet; everything is text, so that nothing is a formula and no number loses its zeros. */
export async function writeXlsx(name: string, { columns, rows }: Written): Promise<ArrayBuffer> {
  const { Workbook } = (await import('exceljs')).default;
  const book = new Workbook();
  const sheet = book.addWorksheet(name);
  sheet.addRow([...columns]).font = { bold: true };
  for (const row of rows) sheet.addRow(row.map(neutralize));
  return Uint8Array.from(new Uint8Array(await book.xlsx.writeBuffer())).buffer;
}
