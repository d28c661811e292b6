/** How well a name answers to what was typed, 0 the best: it begins with it, one of its words does, or it only holds it
 *  somewhere. Case does not matter. */
export function rankByWords(name: string, typed: string): 0 | 1 | 2 {
  const own = name.toLowerCase();
  const words = typed.trim().toLowerCase();
  if (own.startsWith(words)) return 0;
  return own.split(/[^\p{L}\p{N}]+/u).some((word) => word.startsWith(words)) ? 1 : 2;
}
