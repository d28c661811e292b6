const CHARACTERS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const MODULUS = 36;

/** Folds text by the hybrid system of ISO/IEC 7064 MOD 37,36; absent when it holds other characters than digits and
 *  the letters A to Z. */
function foldHybrid(text: string): number | undefined {
  let product = MODULUS;
  for (const character of text) {
    const value = CHARACTERS.indexOf(character);
    if (value < 0) return undefined;
    const sum = (product + value) % MODULUS || MODULUS;
    product = (sum * 2) % (MODULUS + 1);
  }
  return product;
}

/** The check character of ISO/IEC 7064 MOD 37,36 for a text of digits and letters A to Z; absent for other texts. */
export function checkCharacterOf(text: string): string | undefined {
  const product = foldHybrid(text);
  if (product === undefined) return undefined;
  return CHARACTERS[(MODULUS + 1 - product) % MODULUS];
}

/** Whether the last character of a text is the check character of those before it. */
export const hasValidCheck = (text: string): boolean =>
  text.length > 1 && checkCharacterOf(text.slice(0, -1)) === text.slice(-1);
