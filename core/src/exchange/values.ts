/** Writes a number as people of different countries type it, as a plain decimal: a comma or a point before the
 *  decimals, points, commas, spaces or apostrophes between thousands. Text that is no such number comes back as it
 *  is, so that whoever reads it next says what is wrong with it. */
export function readNumber(text: string): string {
  const bare = text.trim().replace(/[\s'’]/gu, '');
  if (!/^-?[\d.,]+$/.test(bare)) return text.trim();
  const [comma, point] = [bare.lastIndexOf(','), bare.lastIndexOf('.')];
  if (comma >= 0 && point >= 0) {
    const [thousands, decimal] = comma > point ? ['.', ','] : [',', '.'];
    return bare.split(thousands).join('').replace(decimal, '.');
  }
  const sign = comma >= 0 ? ',' : '.';
  const parts = bare.split(sign);
  // Several signs of one kind part thousands; one alone stands before the decimals.
  return parts.length > 2 ? parts.join('') : parts.join('.');
}

/** Writes a day as `2026-03-02`: as it is, or from `2.3.2026`. A day with slashes is left as it is, because half the
 *  world would read it otherwise. */
export function readDate(text: string): string {
  const dotted = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(text.trim());
  if (!dotted) return text.trim().replace(/T00:00:00(\.000)?Z?$/, '');
  const [, day = '', month = '', year = ''] = dotted;
  return `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
}

/** What a spreadsheet would take for a formula. Source: docs/exchange.md, formulas. */
const FORMULA = /^[=+\-@\t\r]/;
const NUMBER = /^-?\d+([.,]\d+)?$/;

/** Makes text safe to be opened by a spreadsheet: what looks like a formula gets an apostrophe before it. */
export const neutralize = (text: string): string =>
  FORMULA.test(text) && !NUMBER.test(text) ? `'${text}` : text;

/** Takes back the apostrophe that `neutralize` put before a text. */
export const restoreText = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text;
