import { itemAt } from '@wergon/core/result';
/** Dice that always fall the same way for one seed (mulberry32). */
export type Random = {
  /** From 0 up to but not 1. */
  readonly roll: () => number;
  /** A whole number from `low` to `high`, both included. */
  readonly between: (low: number, high: number) => number;
  readonly chance: (probability: number) => boolean;
  readonly pick: <T>(from: readonly T[]) => T;
  /** Around 1, seldom far from it: the sum of four rolls, stretched. */
  readonly around: (spread: number) => number;
};

export function createRandom(seed: number): Random {
  let state = seed >>> 0;
  const roll = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const between = (low: number, high: number) => low + Math.floor(roll() * (high - low + 1));
  return {
    roll,
    between,
    chance: (probability) => roll() < probability,
    // Callers pass lists that are never empty.
    pick: <T>(from: readonly T[]) => itemAt(from, between(0, from.length - 1)),
    around: (spread) => 1 + (roll() + roll() + roll() + roll() - 2) * spread,
  };
}
