/** Classes of a row or a cell: a name, or names with whether they hold. */
export type Classes = string | Record<string, unknown> | undefined;

/** A column of a list. */
export type Column<Row> = {
  readonly id: string;
  /** Its heading; a column without one holds what can be done with a row. */
  readonly title?: string;
  /** What stands in it, where no slot of its id draws it; rows are put in its order when its heading is pressed. */
  readonly value?: (row: Row) => string | number | null | undefined;
  /** What rows are put in order by, where that is not what stands in the cell. */
  readonly sortBy?: (row: Row) => string | number | null | undefined;
  /** Of its heading and its cells. */
  readonly class?: string;
  /** Of a cell, by its row. */
  readonly cellClass?: (row: Row) => Classes;
  /** Its cells name their rows. */
  readonly isRowHead?: boolean;
};

/** Two columns of one figure: as it is, and as it would be. */
export const beforeAfter = <Row>(
  id: string,
  titles: readonly [string, string],
  of: (row: Row) => readonly [string, string],
): readonly Column<Row>[] =>
  titles.map((title, i) => ({
    id: `${id}-${i}`,
    title,
    class: 'number figure',
    value: (row) => of(row)[i],
  }));

type Cell = string | number | null | undefined;
const words = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });

/** Orders two cells: figures by size, words as they are listed, what is empty last. */
export function compareCells(a: Cell, b: Cell): number {
  const [isEmptyA, isEmptyB] = [a, b].map((cell) => cell === null || cell === undefined || cell === '');
  if (isEmptyA || isEmptyB) return Number(isEmptyA) - Number(isEmptyB);
  return typeof a === 'number' && typeof b === 'number' ? a - b : words.compare(String(a), String(b));
}
