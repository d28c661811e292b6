import { subtract } from '../time/index.ts';
import type { Seconds, Span } from '../time/index.ts';

/** Time of a day in which somebody was signed in, not on a break, and on nothing: what a tape shows dashed. Shorter
 *  ones than the shop wants answered are no gaps. All spans in order. Source: docs/ledger.md, section 7. */
export const gapsOf = (
  shifts: readonly Span[],
  breaks: readonly Span[],
  work: readonly Span[],
  least: Seconds | number,
): readonly Span[] => subtract(subtract(shifts, breaks), work).filter(({ from, to }) => to - from >= least);
