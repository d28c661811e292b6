import type { LooseEnd } from '../ledger/index.ts';

/** What names a loose end, whatever its facts: its kind, whom and what it is about, and since when. */
export const looseEndKey = ({ kind, technician, target, from, day, about }: LooseEnd): string =>
  [
    kind,
    technician ?? '',
    target ?? '',
    from ?? `day ${day ?? ''}`,
    ...(about === undefined ? [] : [about]),
  ].join(' ');

/** The facts of a loose end on which somebody decides. */
export const looseEndFacts = ({ to, seconds, entries }: LooseEnd): string =>
  [to ?? '', seconds ?? '', ...entries].join(' ');

/** Whether the shop's rule answers a loose end: a gap shorter than so many seconds; 0 answers none.
 *  Source: docs/reconcile.md, the shop's rule. */
export const isAnsweredByRule = ({ kind, seconds }: LooseEnd, shorterThan: number): boolean =>
  kind === 'gap' && seconds !== undefined && seconds < shorterThan;

/** Loose ends that nobody has accepted as they are. One whose facts have changed since is open again.
 *  Source: docs/ledger.md, section 8, decisions. */
export const withoutAccepted = <End extends LooseEnd>(
  ends: readonly End[],
  accepted: ReadonlyMap<string, string>,
): End[] => ends.filter((end) => accepted.get(looseEndKey(end)) !== looseEndFacts(end));
