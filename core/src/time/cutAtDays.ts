import { addDays } from './day.ts';
import type { LocalDay } from './day.ts';
import type { Span } from './span.ts';
import type { Zone } from './zone.ts';

/** A span cut at each beginning of a local day, in order; the parts together are the span. Source: docs/ledger.md, section 5. */
export function cutAtDays({ from, to }: Span, zone: Zone): (Span & { readonly day: LocalDay })[] {
  const parts: (Span & { readonly day: LocalDay })[] = [];
  for (let start = from; start < to;) {
    const day = zone.dayAt(start);
    const nextDay = zone.startOf(addDays(day, 1));
    const end = nextDay < to ? nextDay : to;
    parts.push({ from: start, to: end, day });
    start = end;
  }
  return parts;
}
