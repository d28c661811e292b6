import type { CalibrationErrorCode, CodeErrorCode, CodeKind, ScannerFinding } from '@wergon/core/scan';

/** What a station does with a code of each kind. */
export const CODE_KIND_WORDS: Readonly<Record<CodeKind, string>> = {
  badge: 'a badge: it would show where its owner stands',
  order: 'a work order',
  task: 'a task: it would start work on it, with a badge',
  activity: 'an indirect activity: it would start it, with a badge',
  resource: 'a work center or a machine',
  action: 'an action',
  macro: 'a code of a traveler: a task, perhaps with its kind of work',
};

const CODE_WORDS: Readonly<Record<CodeErrorCode, string>> = {
  'code.empty': 'Nothing arrived before the key that ends a code.',
  'code.bad_character':
    'It holds a character that no label of ours has: either it is no label of ours, or the keyboard layouts of scanner and computer differ.',
  'code.unknown_kind': 'It begins with a character that none of our codes begins with.',
  'code.too_short': 'It is too short: the scanner may lose characters. Set it to send more slowly.',
  'code.too_long': 'It is too long: two codes may have run together because no key ends them.',
  'code.wrong_check': 'Its check character is wrong: a character arrived as another one.',
};

/** What a finding means and what to do about it. */
export function FINDING_WORDS(finding: ScannerFinding): string {
  switch (finding.kind) {
    case 'no-end-key':
      return 'No key ends the code. A station waits for a pause instead; set the scanner to send Enter after each code if you can.';
    case 'by-hand':
      return 'It came as slowly as a hand types.';
    case 'lower-case':
      return 'All letters came small: caps lock is on, or the scanner sends small letters. Stations do not mind.';
    case 'marks':
      return 'The scanner sends marks of its symbology around the code. Stations drop them.';
    case 'layout':
      return `The computer’s keyboard is set to ${finding.name} and the scanner types as on another one. Set the scanner to ${finding.name}, or scan the calibration label at the station.`;
    case 'around':
      return `The scanner puts ${[finding.prefix && `“${finding.prefix}” before`, finding.suffix && `“${finding.suffix}” after`].filter(Boolean).join(' and ')} the code. Scan the calibration label at the station, or take it off in the scanner.`;
    case 'calibration':
      return 'This is the calibration label.';
    case 'not-ours':
      return CODE_WORDS[finding.code];
  }
}

export const CALIBRATION_WORDS: Readonly<Record<CalibrationErrorCode, string>> = {
  'calibration.nothing': 'Nothing arrived. Scan the calibration label.',
  'calibration.short': 'Characters are missing: the scanner loses some, or this is another label.',
  'calibration.mixed':
    'Several characters arrive as the same one and cannot be told apart: another keyboard layout must be set in the scanner.',
};
