import { formatInstant } from '@wergon/core/time';
import Papa from 'papaparse';
import { neutralize } from '@wergon/core/exchange';
import { callRoute, download } from '../kit/index.ts';

const COLUMNS = [
  'entry',
  'recorded',
  'stream',
  'type',
  'at',
  'person',
  'about',
  'of',
  'changes',
  'why',
  'by',
  'source',
  'known by',
  'let through by',
  'hash',
];

/** Writes the journal, as filtered, as CSV (RFC 4180), newest first; a page at a time, so that the screen goes on. */
export async function exportTrail(
  asked: Readonly<Record<string, string>>,
  tell: (count: number) => void,
): Promise<void> {
  const parts = [`\uFEFF${Papa.unparse([COLUMNS])}\r\n`];
  let before = 0;
  for (let count = 0; ;) {
    const query = { ...asked, ...(before ? { before: String(before) } : {}) };
    const { entries, next } = await callRoute('trail', { query });
    const rows = entries.map((each) => [
      String(each.seq),
      formatInstant(each.recordedAt),
      each.stream,
      each.type,
      each.at ?? '',
      each.name ?? '',
      each.about,
      each.of ? `${each.of.type} ${each.of.at ?? ''}`.trim() : '',
      each.changes.map(({ field, before: was, after }) => `${field}: ${was} > ${after}`).join('; '),
      each.why ?? '',
      each.author,
      each.source,
      each.knownBy ?? '',
      each.letThroughBy ?? '',
      each.hash,
    ]);
    if (rows.length > 0) parts.push(`${Papa.unparse(rows.map((row) => row.map(neutralize)))}\r\n`);
    tell((count += rows.length));
    if (next === null) break;
    before = next;
  }
  download(new Blob(parts, { type: 'text/csv;charset=utf-8' }), 'trail.csv');
}
