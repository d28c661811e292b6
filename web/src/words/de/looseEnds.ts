import type { Translation } from '../translation.ts';

export const looseEnds: Translation['looseEnds'] = {
  all: '{words}, alle {n}',
  somebody: 'Jemand',
  checkingWhatItWouldDo: 'Wird geprüft, was es bewirkt…',
  putAllRight: 'Alle {n} berichtigen',
  before: '{who} vorher',
  asBefore: '{after}, wie vorher',
  becomes: 'aus {before} wird {after}',
  inTheDaysShown: 'in den gezeigten Tagen',
  noHoursChange: 'Keine Stunden ändern sich.',
  looseEndsAround: 'Offene Punkte um diesen Tag: | Offene Punkte um diese Tage:',
  now: 'jetzt,',
  afterIt: 'danach.',
  somethingElse: 'Etwas anderes…',
  openTheDay: 'Den Tag öffnen',
  assignAsABadge: 'Als Ausweis zuteilen',
  orEnter: 'oder Enter',
  whyItIsAcceptedAsItIs: 'Warum es angenommen wird, wie es ist: {name}',
  or: 'oder',
  acceptItAsItIsBecause: '{or}annehmen, wie es ist, weil…',
  cameEarlyWentLate: 'kam früher, ging später',
  wasSignedInWithoutATaskOutside: 'war angemeldet ohne Arbeit außerhalb der Planzeit,',
  inStretches: 'in {n} Abschnitten',
  acceptItOr: ': annehmen, oder',
  enterWhatWasDone: 'eintragen, was getan wurde',
  looseEndsByDay: 'Offene Punkte nach Tagen',
  loose: 'offener Punkt | offene Punkte',
  acceptedAs: 'angenommen, wie es ist | angenommen, wie sie sind',
  noLooseEndsInTheseDaysEvery: 'Keine offenen Punkte in diesen Tagen: jeder Scan geht auf.',
  similarCases: 'Ähnliche Fälle',
  answerAllAtOnceEachKeepsIts: 'alle auf einmal beantworten, jeder behält seine Zeiten',
  old: '{n} Tag alt | {n} Tage alt',
  olderOnesAreNotShown: '{n} älterer ist nicht gezeigt. | {n} ältere sind nicht gezeigt.',
  showThemAll: 'Alle zeigen',
  acceptedAsTheyAre: 'Angenommen, wie sie sind',
  acceptedOn: '{kind} am {day}: {reason}',
  wasDone: '{answer}, erledigt.',
  andMore: '{names} und {more} weitere',
  signedInAgainAtWhileSignedIn:
    'hat sich um {time} noch einmal angemeldet: prüfen, ob davor eine Abmeldung fehlt.',
  signedOutAtWithoutHavingSigned:
    'hat sich um {time} abgemeldet, ohne angemeldet zu sein: nachtragen, wann die Schicht begann.',
  stoppedAtButNothingWasRunning: 'hat um {time} beendet, aber nichts lief: prüfen, ob ein Beginn fehlt.',
  signedInAtAndDidNotSignOutThe:
    'hat sich um {time} angemeldet und nicht abgemeldet; die Schicht wurde um {time2} automatisch beendet: wann war sie wirklich zu Ende?',
  startedAtAndNeverStoppedItWas:
    'hat um {time} begonnen und nie beendet; es wurde automatisch abgeschnitten: wann war es wirklich zu Ende?',
  signedInWithoutATaskFromToWhat:
    'war ohne Arbeit angemeldet von {time} bis {time2}, {hours}: was wurde getan?',
  hasOfWorkOutsideTheShiftCorrect: 'hat {hours} Arbeit außerhalb der Schicht: eines von beiden berichtigen.',
  tookABreakOfFromCheckWhether: 'hatte {hours} Pause ab {time}: prüfen, ob ihr Ende vergessen wurde.',
  costWasSetForOtherTime:
    'hat {hours} auf {task} mit von Hand gesetzten Kosten, aber die Zeit ist jetzt eine andere: neu setzen oder den Satz gelten lassen.',
  workedOnADayWithoutACostRate: 'hat an einem Tag ohne Kostensatz gearbeitet: unter Betrieb einen anlegen.',
  aTask: 'einem Arbeitsgang',
  workedOnAtWhileItsOrderWasNot:
    'hat um {time} an {task} gearbeitet, während der Auftrag nicht freigegeben war: ihn freigeben oder die Arbeit verschieben.',
  startedAtAlthoughItWasFinished:
    'hat um {time} {task} begonnen, obwohl er fertig war: ihn wieder öffnen oder die Arbeit verschieben.',
  hadItsClockMovedByCheckWhat:
    'dort wurde die Uhr um {hours} verstellt: prüfen, was um diese Zeit gescannt wurde.',
  sentSomethingAtThatCouldNot:
    'hat um {time} etwas gesendet, das nicht erfasst werden konnte: herausfinden, was gemeint war, und es auf dem Zeitband eintragen.',
  hadABadgeReadAtWithinSAtFind:
    'dessen Ausweis wurde um {time} an {stations} binnen {seconds} s gelesen: herausfinden, wer ihn hatte.',
  haveBadgesAlwaysScannedTogether:
    'die Ausweise werden immer zusammen gescannt ({times}-mal): prüfen, ob eine Person beide benutzt.',
  wasScannedAtByAStationWhose:
    'wurde um {time} an einer Station gescannt, deren Uhr {hours} vorgeht: diese Uhr stellen.',
  saidAtTheStationItEndedAt: '{sentence} An der Station gesagt: Ende um {clock}.',
  asSaidAtTheStation: 'Wie an der Station gesagt,',
  plannedEnd: 'Geplantes Ende',
  plannedStart: 'Geplanter Beginn',
  lastWork: 'Letzte Arbeit',
  firstWork: 'Erste Arbeit',
  plannedBreakUntil: 'Geplante Pause, bis',
  ignoreThatScan: 'Diesen Scan übergehen',
  theWorkBeforeWentOn: 'Die Arbeit davor lief weiter',
  theNextWorkHadBegun: 'Die nächste Arbeit hatte begonnen',
  itWasABreak: 'Es war eine Pause',
  theTaskWasReopened: 'Der Arbeitsgang wurde wieder geöffnet',
  overABreak: 'über einer Pause',
  after: 'nachher',
  scannedAtAnUnknownCode:
    'hat um {time} {code} gescannt, einen unbekannten Code: herausfinden, was gescannt wurde.',
  scannedOftenLastAtAnUnknownCode:
    'hat {code} {times}-mal gescannt, zuletzt um {time}, einen unbekannten Code: herausfinden, was gescannt wurde.',
  daysKnownByNameAlone: 'Tage, an denen nur der Name bekannt war',
  scansSo: 'Scans',
  where: 'Wo',
  nobodyProvedWhoTheyWere:
    'An diesen Tagen war jemand an einer Station nur durch den berührten Namen oder die getippte Nummer bekannt.',
  everybodyShowedABadge: 'Alle haben einen Ausweis oder eine PIN gezeigt.',
  slipsWait: '{n} Zettel fehlt noch etwas, | {n} Zetteln fehlt noch etwas,',
  theOldestFor: 'dem ältesten seit {hours}',
  goToSlips: 'Zettel öffnen',
  writtenTasksWait:
    '{n} Arbeit wurde an einer Station aufgeschrieben und hat keinen Arbeitsgang, {hours}. | {n} Arbeiten wurden an Stationen aufgeschrieben und haben keinen Arbeitsgang, {hours}.',
  tieThem: 'An ihre Arbeitsgänge binden',
  splitWasDecidedForOtherTime:
    'hat eine Aufteilung des Lohns, die für {hours} entschieden war, und an dem Tag andere Zeit: neu entscheiden, wie sie bezahlt wird.',
};
