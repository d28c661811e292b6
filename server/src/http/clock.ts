import { toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';

/** The one clock of the server. Stations follow it by the offset they measure. */
export type Clock = {
  /** Whole seconds, as the ledger counts them. */
  readonly now: () => Instant;
  readonly nowMs: () => number;
};

const clockOf = (nowMs: () => number): Clock => ({ nowMs, now: () => toInstant(Math.floor(nowMs() / 1000)) });

/** The computer's own clock. */
export const systemClock: Clock = clockOf(() => Date.now());

/** A clock that starts at a given instant and runs on in real time. */
export function clockFrom(startMs: number): Clock {
  const startedAt = performance.now();
  return clockOf(() => Math.floor(startMs + performance.now() - startedAt));
}

/** A clock that stands still until it is set; for tests and pictures. */
export function createSetClock(startMs: number): Clock & { readonly set: (ms: number) => void } {
  let current = startMs;
  return {
    ...clockOf(() => current),
    set: (ms) => {
      current = ms;
    },
  };
}
