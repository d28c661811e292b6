export const scan = {
  aCardOfItWouldOpenTheStation: 'a card of {name}: it would open the station as that badge does',
  noCodeOfOursAndNobodysCard: 'no code of ours, and nobody’s card',
  whatAScannerReallySendsKeyBy:
    'What a scanner really sends, key by key, and what a station would make of it. Nothing is recorded here.',
  scanHere: 'Scan here',
  clickHereThenScanAnyLabel: 'Click here, then scan any label.',
  theCalibrationLabel: 'The calibration label',
  atAStationThisOneScanWouldTeach: 'At a station this one scan would teach it: it ends with',
  nothingAPause: 'nothing, a pause',
  puts: 'puts',
  beforeACode: 'before a code,',
  afterIt: 'after it,',
  andSendsCharactersAsOthers: 'and sends {n} characters as others.',
  andSendsEveryCharacterAsItIs: 'and sends every character as it is.',
  itWouldBeUnderstood: 'It would be understood',
  itWouldNotBeUnderstoodAsACode: 'It would not be understood as a code of ours',
  is: 'is {meaning}.',
  itSendsWhatAPlainScannerSends: 'It sends what a plain scanner sends, and ends with',
  whenAScannerSendsSomethingOdd: 'When a scanner sends something odd, print the',
  andScanItOnceAtItsStationFrom: 'and scan it once at its station: from then on the station understands it.',
  aBadgeItWouldShowWhereItsOwner: 'a badge: it would show where its owner stands',
  aWorkOrder: 'a work order',
  aTaskItWouldStartWorkOnItWith: 'a task: it would start work on it, with a badge',
  anIndirectActivityItWouldStart: 'an indirect activity: it would start it, with a badge',
  aWorkCenterOrAMachine: 'a work center or a machine',
  anAction: 'an action',
  aCodeOfATravelerATaskPerhaps: 'a code of a traveler: a task, perhaps with its kind of work',
  nothingArrivedBeforeTheKeyThat: 'Nothing arrived before the key that ends a code.',
  itHoldsACharacterThatNoLabel:
    'It holds a character that no label of ours has: either it is no label of ours, or the keyboard layouts of scanner and computer differ.',
  itBeginsWithACharacterThatNone: 'It begins with a character that none of our codes begins with.',
  itIsTooShortTheScannerMayLose:
    'It is too short: the scanner may lose characters. Set it to send more slowly.',
  itIsTooLongTwoCodesMayHaveRun: 'It is too long: two codes may have run together because no key ends them.',
  itsCheckCharacterIsWrongACharacter: 'Its check character is wrong: a character arrived as another one.',
  noKeyEndsTheCodeAStationWaits:
    'No key ends the code. A station waits for a pause instead; set the scanner to send Enter after each code if you can.',
  itCameAsSlowlyAsAHandTypes: 'It came as slowly as a hand types.',
  allLettersCameSmallCapsLock:
    'All letters came small: caps lock is on, or the scanner sends small letters. Stations do not mind.',
  theScannerSendsMarksOfItsSymbology:
    'The scanner sends marks of its symbology around the code. Stations drop them.',
  theComputersKeyboardIsSetTo:
    'The computer’s keyboard is set to {name} and the scanner types as on another one. Set the scanner to {name2}, or scan the calibration label at the station.',
  before: '“{prefix}” before',
  after: '“{suffix}” after',
  theScannerPutsTheCodeScanThe:
    'The scanner puts {marks} the code. Scan the calibration label at the station, or take it off in the scanner.',
  thisIsTheCalibrationLabel: 'This is the calibration label.',
  nothingArrivedScanTheCalibration: 'Nothing arrived. Scan the calibration label.',
  charactersAreMissingTheScanner: 'Characters are missing: the scanner loses some, or this is another label.',
  severalCharactersArriveAsThe:
    'Several characters arrive as the same one and cannot be told apart: another keyboard layout must be set in the scanner.',
} as const;
