/** What has been typed so far, and when the keys came; times in milliseconds. */
export type Typing = { readonly text: string; readonly startedAt: number; readonly lastKeyAt: number };

export const NO_TYPING: Typing = { text: '', startedAt: 0, lastKeyAt: 0 };

/** One key as a scanner or a hand sends it: a character, or a key with a name such as `Enter`. */
export type Key = { readonly name: string; readonly at: number };

/** Keys that end a code, as scanners are set up to send them. */
const END_KEYS: readonly string[] = ['Enter', 'Tab'];
/** No hand types this fast for long: the longest time per key that still looks like a scanner. */
const SCANNER_MS_PER_KEY = 35;
/** After so long a silence a code from a scanner without an end key is over. */
export const PAUSE_MS = 120;
/** Shorter than any code; a fast roll over two keys is not a scan. */
const SHORTEST_SCAN = 4;

/** Whether so much has come as fast as only a scanner types. One figure and Enter has no pace at all: that is a hand. */
export const isScannerPace = ({ text, startedAt, lastKeyAt }: Typing): boolean =>
  text.length >= SHORTEST_SCAN && lastKeyAt - startedAt <= (text.length - 1) * SCANNER_MS_PER_KEY;

/** Takes in one key. `finished` is the text that it ended, if it did. */
export function typeKey(typing: Typing, key: Key): { readonly typing: Typing; readonly finished?: string } {
  if (END_KEYS.includes(key.name)) return { typing: NO_TYPING, finished: stripMarks(typing.text) };
  if (key.name === 'Backspace')
    return { typing: { ...typing, text: typing.text.slice(0, -1), lastKeyAt: key.at } };
  if (key.name === 'Escape') return { typing: NO_TYPING };
  if (key.name.length !== 1) return { typing };
  const startedAt = typing.text === '' ? key.at : typing.startedAt;
  return { typing: { text: typing.text + key.name, startedAt, lastKeyAt: key.at } };
}

/** Ends a code that came as fast as only a scanner types, once it has been silent long enough; what a hand types
 *  waits for Enter. */
export function typePause(
  typing: Typing,
  now: number,
): { readonly typing: Typing; readonly finished?: string } {
  const isSilent = now - typing.lastKeyAt >= PAUSE_MS;
  return isScannerPace(typing) && isSilent
    ? { typing: NO_TYPING, finished: stripMarks(typing.text) }
    : { typing };
}

/** Drops what a scanner may send around a code: the start and stop asterisks of Code 39 and an AIM symbology
 *  identifier (ISO/IEC 15424), `]` with two characters. */
export const stripMarks = (text: string): string =>
  text
    .trim()
    .replace(/^\][A-Za-z]\d/, '')
    .replace(/^\*(.*)\*$/, '$1');
