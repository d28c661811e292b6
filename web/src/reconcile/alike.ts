import type { LooseEndsJson } from '@wergon/contract/reconcile';

export type LooseEndJson = LooseEndsJson['looseEnds'][number];

/** One line of the queue: a loose end, gaps of one person outside his planned time told together, or, before them,
 *  several ends of one kind that have the same likeliest answer. */
export type QueueLine =
  | { readonly kind: 'one'; readonly end: LooseEndJson }
  | { readonly kind: 'outside-plan'; readonly ends: readonly LooseEndJson[] }
  | { readonly kind: 'alike'; readonly ends: readonly LooseEndJson[] };

/** The lines of one day's loose ends, in the order given. */
export function queueOf(ends: readonly LooseEndJson[]): readonly QueueLine[] {
  const lines: QueueLine[] = [];
  const outside = new Map<string, LooseEndJson[]>();
  for (const end of ends) {
    if (!end.isOutsidePlan) {
      lines.push({ kind: 'one', end });
      continue;
    }
    const own = outside.get(end.technician ?? '');
    if (own) own.push(end);
    else {
      const first = [end];
      outside.set(end.technician ?? '', first);
      lines.push({ kind: 'outside-plan', ends: first });
    }
  }
  return [...findAlike(ends).map((alike): QueueLine => ({ kind: 'alike', ends: alike })), ...lines];
}

/** Ends of one kind whose likeliest answer has the same reason, where there are several. */
function findAlike(ends: readonly LooseEndJson[]): readonly (readonly LooseEndJson[])[] {
  const groups = new Map<string, LooseEndJson[]>();
  for (const end of ends) {
    const [first] = end.answers;
    if (!first || end.isOutsidePlan) continue;
    const key = `${end.kind} ${first.reason}`;
    groups.set(key, [...(groups.get(key) ?? []), end]);
  }
  return [...groups.values()].filter(({ length }) => length > 1);
}
