/** A column that a file can have: its name in our records, its heading in our exports, and other words by which people
 *  head it. */
export type Column = {
  readonly field: string;
  readonly heading: string;
  readonly words: readonly string[];
  readonly isRequired: boolean;
};

/** For each column of ours the place of a heading in the file, or `null` where the file has none. */
export type ColumnMatch = Readonly<Record<string, number | null>>;

const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '');

/** Guesses which heading stands for which column: the same words first, then words that begin alike. No heading is
 *  taken twice. */
export function guessColumns(columns: readonly Column[], headings: readonly string[]): ColumnMatch {
  const left = new Map(headings.map((heading, i) => [i, plain(heading)]));
  const match: Record<string, number | null> = {};
  const take = (column: Column, fits: (heading: string, word: string) => boolean) => {
    const words = [column.heading, column.field, ...column.words].map(plain);
    const fitting = words.flatMap((word) =>
      [...left].filter(([, heading]) => heading !== '' && fits(heading, word)),
    );
    const place = fitting[0]?.[0];
    if (place === undefined) return;
    match[column.field] = place;
    left.delete(place);
  };
  for (const column of columns) take(column, (heading, word) => heading === word);
  for (const column of columns)
    if (match[column.field] === undefined)
      take(
        column,
        (heading, word) => word.length > 3 && (heading.startsWith(word) || word.startsWith(heading)),
      );
  return Object.fromEntries(columns.map(({ field }) => [field, match[field] ?? null]));
}
