/** Chance from a seed (mulberry32): the same seed, the same torture. */
export function createDice(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  const below = (n) => Math.floor(next() * n);
  const pick = (list) => list[below(list.length)];
  const id = () => Array.from({ length: 24 }, () => '0123456789abcdef'[below(16)]).join('');
  return { next, below, pick, id, chance: (share) => next() < share };
}
