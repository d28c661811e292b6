import {
  addSettled,
  AT_REST,
  correctedEntry,
  entryIdOf,
  foldEntries,
  inOrderOfTime,
  isSameItem,
  settleAt,
} from '../ledger/index.ts';
import type { Running, PersonTimeline } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { Instant, Span } from '../time/index.ts';
import type { Change } from '../loose-ends/index.ts';
import type { TapeGround, TimedEntry } from './tapeEdit.ts';

/** Who worked on what in a stretch; neighbours with the same work are one. */
export type Stretch = Span & { readonly running: readonly Running[] };

/** Whether two lists are the same work in the same order, in every respect. */
export const isSameRunning = (a: readonly Running[], b: readonly Running[]): boolean =>
  a.length === b.length && a.every((run, i) => isSameItem(run, b[i]));

/** Whether two lists are of the same targets and kinds of work in the same order: all that is drawn of a block. */
export const looksSame = (a: readonly Running[], b: readonly Running[]): boolean =>
  a.length === b.length &&
  a.every(({ target, workType }, i) => target === b[i]?.target && workType === b[i]?.workType);

/** Stretches by time, joined where the same work goes on. */
export function joinStretches(stretches: readonly Stretch[]): readonly Stretch[] {
  const joined: Stretch[] = [];
  for (const { from, to, running } of [...stretches].sort((a, b) => a.from - b.from)) {
    const last = joined.at(-1);
    if (last?.to === from && isSameRunning(last.running, running))
      joined[joined.length - 1] = { ...last, to };
    else joined.push({ from, to, running });
  }
  return joined;
}

/** What a person's entries come to, from where they stood before them up to `asOf`. */
export function strandsOf(
  technician: TechnicianId,
  entries: readonly TimedEntry[],
  { states, facts, asOf }: Pick<TapeGround, 'states' | 'facts' | 'asOf'>,
): PersonTimeline {
  const own = inOrderOfTime(entries.filter((entry) => entry.technician === technician && entry.at <= asOf));
  const { state, timeline } = foldEntries(technician, states.get(technician) ?? AT_REST, own, facts);
  addSettled(timeline, settleAt(technician, state, asOf, facts.policy).settled);
  return timeline;
}

/** Entries in the order of recording with changes behind them; added ones are known by their place. */
export function withChanges(entries: readonly TimedEntry[], changes: readonly Change[]): TimedEntry[] {
  let after: readonly TimedEntry[] = entries;
  changes.forEach((change, i) => {
    const id = entryIdOf('change', i);
    if (!('target' in change)) {
      if (change.type !== 'hours') after = [...after, { ...change, id }];
      return;
    }
    after = after.flatMap((entry) => {
      if (entry.id !== change.target) return [entry];
      const corrected = correctedEntry(entry, [{ ...change, id }]);
      return corrected ? [corrected] : [];
    });
  });
  return [...after];
}

/** What runs in `stretches` from an instant on; nothing where there is none. */
export const runningAt = (stretches: readonly Stretch[], at: Instant): readonly Running[] =>
  stretches.find(({ from, to }) => from <= at && at < to)?.running ?? [];
