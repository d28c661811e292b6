import { groupBy, itemAt } from '../result/index.ts';
import { isCorrection } from './entries.ts';
import type { AmendEntry, AmendSet, Correction, Entry, LaborEntry } from './entries.ts';

/** An entry with an amendment applied: named fields replaced, `null` ones absent. */
function amended<Entry extends LaborEntry>(entry: Entry, set: AmendSet): Entry {
  const next: object = Object.fromEntries(
    Object.entries({ ...entry, ...set }).filter(([, value]) => value !== null),
  );
  // checkEntry has held the set against the fields of this entry's type before it was recorded.
  return next as Entry;
}

/** What an entry says after its corrections, taken in the order of recording; absent when it is void. A void is a
 *  mark, not a count, and amendments survive void and restore. Source: docs/ledger.md, section 3. */
export function correctedEntry<Entry extends LaborEntry>(
  entry: Entry,
  corrections: readonly Correction[],
): Entry | undefined {
  const mark = corrections.filter((correction) => correction.type !== 'amend').at(-1);
  if (mark?.type === 'void') return undefined;
  const amendments = corrections.filter(
    (correction): correction is AmendEntry => correction.type === 'amend',
  );
  return amendments.reduce((current, { set }) => amended(current, set), entry);
}

/** The entries that count, as corrected, in the order of recording. */
export function effectiveEntries(journal: readonly Entry[]): readonly LaborEntry[] {
  const corrections = groupBy(journal.filter(isCorrection), ({ target }) => target);
  const effective: LaborEntry[] = [];
  for (const entry of journal) {
    if (isCorrection(entry)) continue;
    const own = corrections.size > 0 ? corrections.get(entry.id) : undefined;
    const counted = own ? correctedEntry(entry, own) : entry;
    if (counted) effective.push(counted);
  }
  return effective;
}

/** The amendment that puts back what `set` changed: the values before it, `null` where there were none. */
export function undoOfAmend(before: LaborEntry, set: AmendSet): AmendSet {
  const values = new Map<string, unknown>(Object.entries(before));
  return Object.fromEntries(Object.keys(set).map((field) => [field, values.get(field) ?? null]));
}

/** Sorts entries that have an instant by (`at`, order given), which is the order of recording. */
export function inOrderOfTime<T extends { readonly at: number }>(entries: readonly T[]): readonly T[] {
  let isSorted = true;
  for (let i = 1; i < entries.length && isSorted; i += 1)
    isSorted = itemAt(entries, i - 1).at <= itemAt(entries, i).at;
  return isSorted ? entries : [...entries].sort((a, b) => a.at - b.at); // sort is stable: recording order stays
}
