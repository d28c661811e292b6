export { ACTIONS, codeOfAction, digitOf, findAction, titleOfAction } from './action.ts';
export type { Action } from './action.ts';
export { CODE_ALPHABET, CODE_ERROR_CODES, CODE_KINDS, drawCode, parseCode } from './code.ts';
export type { Code, CodeErrorCode, CodeKind } from './code.ts';
export { normalizeForeign, parseForeign } from './foreign.ts';
export type { ForeignErrorCode } from './foreign.ts';
export { NO_TYPING, PAUSE_MS, isScannerPace, typeKey, typePause } from './keys.ts';
export type { Key, Typing } from './keys.ts';
export {
  CALIBRATION_TEXT,
  PLAIN_SCANNER,
  applyProfile,
  checkScan,
  isScanOver,
  learnProfile,
} from './profile.ts';
export type { CalibrationErrorCode, CheckedScan, ScannerFinding, ScannerProfile } from './profile.ts';
