import { fail, ok } from '../result/index.ts';
import type { Brand, Result } from '../result/index.ts';
import { stripMarks } from './keys.ts';
import { parseCode } from './code.ts';

/** What some card, fob or old label sends, in one written form: without marks and space, in capitals. */
export type ForeignCode = Brand<string, 'ForeignCode'>;

export const FOREIGN_ERROR_CODES = ['foreign.too_short', 'foreign.too_long', 'foreign.ours'] as const;
export type ForeignErrorCode = (typeof FOREIGN_ERROR_CODES)[number];

/** Shorter ones are typed by accident. */
const SHORTEST = 4;
const LONGEST = 64;

/** The one form in which a foreign code is kept and looked up. */
export const normalizeForeign = (text: string): string =>
  stripMarks(text.normalize('NFKC').replace(/[\s\p{Cc}]/gu, '')).toUpperCase();

/** Reads a code that another system gave out, to be bound to a person. Refuses one that could be taken for a code of
 *  our own, and one too short to be meant. Source: docs/codes.md, foreign codes. */
export function parseForeign(text: string): Result<ForeignCode, ForeignErrorCode> {
  const code = normalizeForeign(text);
  if (code.length < SHORTEST) return fail('foreign.too_short', { length: SHORTEST });
  if (code.length > LONGEST) return fail('foreign.too_long', { length: LONGEST });
  return parseCode(code).ok ? fail('foreign.ours') : ok(code as ForeignCode);
}
