export { ACTIONS, codeOfAction, digitOf, findAction, titleOfAction } from './action.ts';
export type { Action } from './action.ts';
export { checkCharacterOf, hasValidCheck } from './checkCharacter.ts';
export { CODE_ALPHABET, CODE_ERROR_CODES, CODE_KINDS, drawCode, makeCode, parseCode } from './code.ts';
export type { Code, CodeErrorCode, CodeKind, ParsedCode } from './code.ts';
export { FOREIGN_ERROR_CODES, normalizeForeign, parseForeign } from './foreign.ts';
export type { ForeignCode, ForeignErrorCode } from './foreign.ts';
export { NO_TYPING, PAUSE_MS, isScannerPace, stripMarks, typeKey, typePause } from './keys.ts';
export type { Key, Typing } from './keys.ts';
export {
  CALIBRATION_ERROR_CODES,
  CALIBRATION_TEXT,
  PLAIN_SCANNER,
  applyProfile,
  checkScan,
  isScanOver,
  learnProfile,
} from './profile.ts';
export type { CalibrationErrorCode, CheckedScan, ScannerFinding, ScannerProfile } from './profile.ts';
