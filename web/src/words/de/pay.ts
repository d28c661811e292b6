import type { Translation } from '../translation.ts';

export const pay: Translation['pay'] = {
  endedNotClosed: 'zu Ende, nicht geschlossen',
  itClosesWhenItIsOver: 'Sie schließt, wenn der Zeitraum vorbei ist.',
  anEarlierPayPeriodIsStillOpen: 'Ein früherer Zeitraum ist noch offen: den zuerst schließen.',
  ofLabor: 'Arbeit',
  ofAdjustments: 'Nachträge',
  closedByWhatComesAfterIsAnAdjustment:
    'Geschlossen von {name}, {time}. Was danach kommt, ist ein Nachtrag im ersten offenen Zeitraum.',
  hashOfTheJournalsLastEntryBefore: 'Prüfsumme des letzten Eintrags vor dem Schließen',
  head: 'Kopf {head}',
  unapprovedTimeIsLeftOutAndBecomes:
    'Nicht genehmigte Zeit bleibt draußen und wird nach der Genehmigung ein Nachtrag im nächsten Zeitraum.',
  everythingIsApproved: 'Alles ist genehmigt.',
  moreLaborThanAttendedTimeCheck:
    '{n} Person hat mehr Arbeit als Anwesenheit: vor dem Schließen ihre Tage prüfen. | {n} Personen haben mehr Arbeit als Anwesenheit: vor dem Schließen ihre Tage prüfen.',
  closeThisPeriod: 'Diesen Zeitraum schließen',
  whyItIsReopened: 'Warum er wieder geöffnet wird',
  reopenItBecause: 'wieder öffnen, weil…',
  laborOpenNotYetApproved: 'Arbeit; offen: noch nicht genehmigt',
  labor: 'Arbeit',
  attended: 'Anwesend',
  aboveAttended: '{hours} über der Anwesenheit',
  noTimeRecordedInThisPeriod: 'In diesem Zeitraum ist keine Zeit erfasst.',
  adjustments: 'Nachträge',
  adjustmentsToClosedPeriods: 'Nachträge zu geschlossenen Zeiträumen',
  running: 'läuft',
  whoSeesEverybodyClosesIt: 'Abschließen kann, wer alle sieht.',
};
