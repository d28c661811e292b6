import { Defect, itemAt } from '../result/index.ts';
import { toInstant } from './instant.ts';
import type { Instant } from './instant.ts';

/** A value that changes on given instants, ascending. The first one holds for all time before it, too.
 *  Source: docs/ledger.md, section 9. */
export type Dated<T> = readonly { readonly from: Instant; readonly value: T }[];

/** A value that never changed. */
export const dated = <T>(value: T): Dated<T> => [{ from: toInstant(0), value }];

/** Dated items with one more from its instant on; what began at that very instant before is replaced. */
export const withChange = <Item extends { readonly from: Instant }>(
  items: readonly Item[],
  item: Item,
): readonly Item[] =>
  [...items.filter(({ from }) => from !== item.from), item].sort((a, b) => a.from - b.from);

/** The same without what begins at an instant. The first holds for all time before it too, and stays. */
export const withoutChange = <Item extends { readonly from: Instant }>(
  items: readonly Item[],
  from: Instant,
): readonly Item[] => items.filter((each, i) => i === 0 || each.from !== from);

/** The value in force at an instant. Throws `Defect` when there is none at all. */
export function inForceAt<T>(values: Dated<T>, at: Instant): T {
  let i = values.length - 1;
  while (i > 0 && itemAt(values, i).from > at) i -= 1;
  const found = values[i];
  if (!found) throw new Defect('a dated value without any value');
  return found.value;
}
