export { ACTIONS, codeOfAction, findAction } from './action.ts';
export type { Action } from './action.ts';
export { checkCharacterOf, hasValidCheck } from './checkCharacter.ts';
export { CODE_ALPHABET, CODE_ERROR_CODES, CODE_KINDS, drawCode, makeCode, parseCode } from './code.ts';
export type { Code, CodeErrorCode, CodeKind, ParsedCode } from './code.ts';
export { NO_TYPING, PAUSE_MS, stripMarks, typeKey, typePause } from './keys.ts';
export type { Key, Typing } from './keys.ts';
