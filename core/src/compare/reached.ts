import { toInstant } from '../time/index.ts';
import type { Instant, Seconds, Span } from '../time/index.ts';

/** A stretch of labor on a task: so many of its seconds belong to the task, evenly. */
export type Stretch = Span & { readonly seconds: Seconds };

/** When labor on a task came to so many seconds: `before` were there when the first stretch began. `null` where it has not
 *  come to that. Several people at once bring it there sooner. Source: docs/compare.md, section 7. */
export function reachedAt(seconds: number, before: number, stretches: readonly Stretch[]): Instant | null {
  const marks = stretches
    .filter(({ from, to }) => to > from)
    .flatMap(({ from, to, seconds: own }) => [
      { at: from, rate: own / (to - from) },
      { at: to, rate: -own / (to - from) },
    ])
    .sort((a, b) => a.at - b.at);
  const [first] = marks;
  if (before >= seconds) return first?.at ?? null;
  let [used, rate, since] = [before, 0, first?.at ?? toInstant(0)];
  for (const mark of marks) {
    const next = used + rate * (mark.at - since);
    if (rate > 0 && next >= seconds - ROUNDING)
      return toInstant(Math.ceil(since + (seconds - used) / rate - ROUNDING));
    [used, since] = [next, mark.at];
    rate += mark.rate;
  }
  return null;
}

/** Rates are quotients; what they come to is whole but for this. */
const ROUNDING = 1e-6;
