import { Defect, fail, keysOf, ok } from '../result/index.ts';
import type { Brand, Result } from '../result/index.ts';
import { checkCharacterOf, hasValidCheck } from './checkCharacter.ts';

/** A whole, checked code as it stands on a label. */
export type Code = Brand<string, 'Code'>;

/** The characters of a code: digits and letters that no keyboard layout moves far and no hand confuses.
 *  Source: docs/codes.md. */
export const CODE_ALPHABET = '0123456789BCDEFGHJKLNPRSTUVX';

/** What a label is for, with the letter that begins its code and the length of its body. */
export const CODE_KINDS = {
  badge: { letter: 'B', bodyLength: 12 },
  order: { letter: 'J', bodyLength: 6 },
  task: { letter: 'T', bodyLength: 7 },
  activity: { letter: 'N', bodyLength: 4 },
  resource: { letter: 'R', bodyLength: 5 },
  action: { letter: 'C', bodyLength: 2 },
  macro: { letter: 'K', bodyLength: 8 },
} as const;
export type CodeKind = keyof typeof CODE_KINDS;

/** Why something read or typed is not a code. */
export const CODE_ERROR_CODES = [
  'code.empty',
  'code.bad_character',
  'code.unknown_kind',
  'code.too_short',
  'code.too_long',
  'code.wrong_check',
] as const;
export type CodeErrorCode = (typeof CODE_ERROR_CODES)[number];

export type ParsedCode = { readonly kind: CodeKind; readonly code: Code };

const kindOf = (letter: string | undefined): CodeKind | undefined =>
  keysOf(CODE_KINDS).find((kind) => CODE_KINDS[kind].letter === letter);

/** Makes the code of a kind from a body; absent when the check character falls outside the alphabet, so that another
 *  body must be taken. Throws `Defect` on a body of another length or alphabet. */
export function makeCode(kind: CodeKind, body: string): Code | undefined {
  const { letter, bodyLength } = CODE_KINDS[kind];
  const isBody =
    body.length === bodyLength && [...body].every((character) => CODE_ALPHABET.includes(character));
  if (!isBody) throw new Defect(`not a body for a ${kind} code`);
  const check = checkCharacterOf(`${letter}${body}`);
  if (check === undefined || !CODE_ALPHABET.includes(check)) return undefined;
  return `${letter}${body}${check}` as Code;
}

/** Makes a code from a stream of random digits, each from 0 to below 28, taking as many as it needs. */
export function drawCode(kind: CodeKind, drawDigit: () => number): Code {
  for (;;) {
    const body = Array.from({ length: CODE_KINDS[kind].bodyLength }, () => CODE_ALPHABET[drawDigit()] ?? '');
    const code = makeCode(kind, body.join(''));
    if (code) return code;
  }
}

/** Reads a code, blind to case and to space around it. A mangled code is refused with what is wrong with it and is
 *  never taken for another one. */
export function parseCode(text: string): Result<ParsedCode, CodeErrorCode> {
  const code = text.trim().toUpperCase();
  if (code === '') return fail('code.empty');
  const bad = [...code].find((character) => !CODE_ALPHABET.includes(character));
  if (bad !== undefined) return fail('code.bad_character', { text: code, character: bad });
  const kind = kindOf(code[0]);
  if (!kind) return fail('code.unknown_kind', { text: code });
  const length = CODE_KINDS[kind].bodyLength + 2;
  if (code.length < length) return fail('code.too_short', { text: code, length });
  if (code.length > length) return fail('code.too_long', { text: code, length });
  return hasValidCheck(code) ? ok({ kind, code: code as Code }) : fail('code.wrong_check', { text: code });
}
