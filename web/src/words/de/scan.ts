import type { Translation } from '../translation.ts';

export const scan: Translation['scan'] = {
  aCardOfItWouldOpenTheStation: 'eine Karte von {name}: sie würde die Station öffnen wie der Ausweis',
  noCodeOfOursAndNobodysCard: 'kein Code von uns, und niemandes Karte',
  whatAScannerReallySendsKeyBy:
    'Was ein Scanner wirklich sendet, Taste für Taste, und was eine Station daraus machen würde. Hier wird nichts erfasst.',
  scanHere: 'Hier scannen',
  clickHereThenScanAnyLabel: 'Hier klicken, dann irgendein Etikett scannen.',
  theCalibrationLabel: 'Das Einlernetikett',
  atAStationThisOneScanWouldTeach: 'An einer Station würde dieser eine Scan sie lehren: er endet mit',
  nothingAPause: 'nichts, einer Pause',
  puts: 'setzt',
  beforeACode: 'vor einen Code,',
  afterIt: 'dahinter,',
  andSendsCharactersAsOthers: 'und sendet {n} Zeichen als andere.',
  andSendsEveryCharacterAsItIs: 'und sendet jedes Zeichen, wie es ist.',
  itWouldBeUnderstood: 'Er würde verstanden',
  itWouldNotBeUnderstoodAsACode: 'Er würde nicht als Code von uns verstanden',
  is: 'ist {meaning}.',
  itSendsWhatAPlainScannerSends: 'Er sendet, was ein schlichter Scanner sendet, und endet mit',
  whenAScannerSendsSomethingOdd: 'Sendet ein Scanner etwas Seltsames, drucken Sie das',
  andScanItOnceAtItsStationFrom:
    'und scannen Sie es einmal an seiner Station: von da an versteht ihn die Station.',
  aBadgeItWouldShowWhereItsOwner: 'ein Ausweis: er würde zeigen, wo sein Besitzer steht',
  aWorkOrder: 'ein Auftrag',
  aTaskItWouldStartWorkOnItWith: 'ein Arbeitsgang: er würde mit einem Ausweis begonnen',
  anIndirectActivityItWouldStart: 'eine indirekte Tätigkeit: sie würde mit einem Ausweis begonnen',
  aWorkCenterOrAMachine: 'ein Arbeitsplatz oder eine Maschine',
  anAction: 'eine Aktion',
  aCodeOfATravelerATaskPerhaps: 'ein Code einer Laufkarte: ein Arbeitsgang, vielleicht mit seiner Arbeitsart',
  nothingArrivedBeforeTheKeyThat: 'Vor der Taste, die einen Code beendet, kam nichts.',
  itHoldsACharacterThatNoLabel:
    'Er enthält ein Zeichen, das auf keinem unserer Etiketten steht: entweder ist es keines von uns, oder Scanner und Computer haben verschiedene Tastaturbelegungen.',
  itBeginsWithACharacterThatNone: 'Er beginnt mit einem Zeichen, mit dem keiner unserer Codes beginnt.',
  itIsTooShortTheScannerMayLose:
    'Er ist zu kurz: der Scanner verliert vielleicht Zeichen. Stellen Sie ihn langsamer.',
  itIsTooLongTwoCodesMayHaveRun:
    'Er ist zu lang: vielleicht sind zwei Codes zusammengelaufen, weil keine Taste sie beendet.',
  itsCheckCharacterIsWrongACharacter: 'Sein Prüfzeichen ist falsch: ein Zeichen kam als ein anderes an.',
  noKeyEndsTheCodeAStationWaits:
    'Keine Taste beendet den Code. Eine Station wartet stattdessen auf eine Pause; stellen Sie den Scanner wenn möglich so, dass er nach jedem Code Enter sendet.',
  itCameAsSlowlyAsAHandTypes: 'Es kam so langsam, wie eine Hand tippt.',
  allLettersCameSmallCapsLock:
    'Alle Buchstaben kamen klein: die Feststelltaste ist an, oder der Scanner sendet kleine Buchstaben. Stationen stört das nicht.',
  theScannerSendsMarksOfItsSymbology:
    'Der Scanner sendet Zeichen seiner Symbologie um den Code. Stationen lassen sie weg.',
  theComputersKeyboardIsSetTo:
    'Die Tastatur des Computers steht auf {name}, und der Scanner tippt wie auf einer anderen. Stellen Sie den Scanner auf {name2}, oder scannen Sie das Einlernetikett an der Station.',
  before: '„{prefix}“ vor',
  after: '„{suffix}“ hinter',
  theScannerPutsTheCodeScanThe:
    'Der Scanner setzt {marks} den Code. Scannen Sie das Einlernetikett an der Station, oder schalten Sie es im Scanner ab.',
  thisIsTheCalibrationLabel: 'Das ist das Einlernetikett.',
  nothingArrivedScanTheCalibration: 'Es kam nichts. Scannen Sie das Einlernetikett.',
  charactersAreMissingTheScanner:
    'Es fehlen Zeichen: der Scanner verliert welche, oder das ist ein anderes Etikett.',
  severalCharactersArriveAsThe:
    'Mehrere Zeichen kommen als dasselbe an und sind nicht zu unterscheiden: im Scanner muss eine andere Tastaturbelegung eingestellt werden.',
};
