import type { CalibrationErrorCode, CodeErrorCode, CodeKind, ScannerFinding } from '@wergon/core/scan';
import { sayList, t } from '../words/index.ts';

/** What a station does with a code of each kind. */
export const CODE_KIND_WORDS: Readonly<Record<CodeKind, string>> = {
  badge: t('scan.aBadgeItWouldShowWhereItsOwner'),
  order: t('scan.aWorkOrder'),
  task: t('scan.aTaskItWouldStartWorkOnItWith'),
  activity: t('scan.anIndirectActivityItWouldStart'),
  resource: t('scan.aWorkCenterOrAMachine'),
  action: t('scan.anAction'),
  macro: t('scan.aCodeOfATravelerATaskPerhaps'),
};

const CODE_WORDS: Readonly<Record<CodeErrorCode, string>> = {
  'code.empty': t('scan.nothingArrivedBeforeTheKeyThat'),
  'code.bad_character': t('scan.itHoldsACharacterThatNoLabel'),
  'code.unknown_kind': t('scan.itBeginsWithACharacterThatNone'),
  'code.too_short': t('scan.itIsTooShortTheScannerMayLose'),
  'code.too_long': t('scan.itIsTooLongTwoCodesMayHaveRun'),
  'code.wrong_check': t('scan.itsCheckCharacterIsWrongACharacter'),
};

/** What a finding means and what to do about it. */
export function FINDING_WORDS(finding: ScannerFinding): string {
  switch (finding.kind) {
    case 'no-end-key':
      return t('scan.noKeyEndsTheCodeAStationWaits');
    case 'by-hand':
      return t('scan.itCameAsSlowlyAsAHandTypes');
    case 'lower-case':
      return t('scan.allLettersCameSmallCapsLock');
    case 'marks':
      return t('scan.theScannerSendsMarksOfItsSymbology');
    case 'layout':
      return t('scan.theComputersKeyboardIsSetTo', { name: finding.name, name2: finding.name });
    case 'around':
      return t('scan.theScannerPutsTheCodeScanThe', {
        marks: sayList(
          [
            finding.prefix && t('scan.before', { prefix: finding.prefix }),
            finding.suffix && t('scan.after', { suffix: finding.suffix }),
          ].filter(Boolean),
        ),
      });
    case 'calibration':
      return t('scan.thisIsTheCalibrationLabel');
    case 'not-ours':
      return CODE_WORDS[finding.code];
  }
}

export const CALIBRATION_WORDS: Readonly<Record<CalibrationErrorCode, string>> = {
  'calibration.nothing': t('scan.nothingArrivedScanTheCalibration'),
  'calibration.short': t('scan.charactersAreMissingTheScanner'),
  'calibration.mixed': t('scan.severalCharactersArriveAsThe'),
};
