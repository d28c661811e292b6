/** How jobs look on a tape: their tint and their label. */

/** Widths of type on a tape, in pixels: a letter, and what stands before and after a label. */
const LETTER = 8.6;
const PADDING = 14;
/** As many tints as can be told apart. */
const TINTS = 8;

/** The first of some labels that fits whole into a block of a tape; none where none does: it is said when the block is
 *  pointed at. */
export const fittingLabel = (labels: readonly string[], blockWidth: number): string =>
  labels.find((label) => blockWidth >= label.length * LETTER + PADDING) ?? '';

/** Neighbouring orders get different tints: the next of eight for each order, in the order in which they appear. */
export function tintsOf(orders: Iterable<string | null>): ReadonlyMap<string, number> {
  const tints = new Map<string, number>();
  for (const order of orders) if (order !== null && !tints.has(order)) tints.set(order, tints.size % TINTS);
  return tints;
}

/** The colour of a block: that of its order, or that of indirect time. */
export const tintOf = (tints: ReadonlyMap<string, number>, order: string | null): string =>
  order === null ? 'var(--indirect)' : `var(--job-${tints.get(order) ?? 0})`;
