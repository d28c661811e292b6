import { itemAt } from '../result/index.ts';
import { toSeconds } from './seconds.ts';
import type { Instant } from './instant.ts';
import type { Seconds } from './seconds.ts';

/** A half-open stretch of time: `from` belongs to it, `to` does not. */
export type Span = { readonly from: Instant; readonly to: Instant };

/** The length of a span. */
export const lengthOf = (span: Span): Seconds => toSeconds(span.to - span.from);

/** Seconds that two spans share; 0 when they only touch. */
export const overlapSeconds = (a: Span, b: Span): Seconds =>
  toSeconds(Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from)));

/** Joins spans that touch or overlap and drops empty ones. Wants them sorted by `from`. */
export function merge(spans: readonly Span[]): Span[] {
  const merged: Span[] = [];
  for (const span of spans) {
    const last = merged[merged.length - 1];
    if (span.from === span.to) continue;
    if (last && span.from <= last.to)
      merged[merged.length - 1] = { from: last.from, to: span.to > last.to ? span.to : last.to };
    else merged.push({ from: span.from, to: span.to });
  }
  return merged;
}

/** What is left of `spans` without `holes`. Wants both sorted by `from` and free of overlaps in themselves. */
export function subtract(spans: readonly Span[], holes: readonly Span[]): Span[] {
  const left: Span[] = [];
  let first = 0;
  for (const span of spans) {
    while (first < holes.length && itemAt(holes, first).to <= span.from) first += 1;
    let from = span.from;
    for (let i = first; i < holes.length && itemAt(holes, i).from < span.to; i += 1) {
      const hole = itemAt(holes, i);
      if (hole.from > from) left.push({ from, to: hole.from });
      if (hole.to > from) from = hole.to;
    }
    if (from < span.to) left.push({ from, to: span.to });
  }
  return left;
}
