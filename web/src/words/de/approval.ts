import type { Translation } from '../translation.ts';

export const approval: Translation['approval'] = {
  approvedBy: 'genehmigt, {by}',
  changedSince: 'seither geändert',
  loose: '{n} offener Punkt | {n} offene Punkte',
  approve: '{label} genehmigen',
  approveWord: 'genehmigen',
  takeTheApprovalOfBack: 'Genehmigung von {label} zurücknehmen',
  takeBack: 'zurücknehmen',
  yourOwnTimeSomebodyElseApproves: 'Ihre eigene Zeit: jemand anderes genehmigt sie',
  notOneOfYourPeople: 'nicht von Ihren Leuten',
  youSeeItOthersApproveIt: 'Sie sehen es, andere genehmigen es',
  toByShiftStart: '{day} bis {day2}, nach Schichtbeginn',
  thisShopAsksForNoApprovalAll:
    'Dieser Betrieb verlangt keine Genehmigung: alle Zeit geht in den Lohn. So steht es in den Einstellungen.',
  toApprove: 'zu genehmigen',
  toLookAtFirst: 'erst ansehen',
  approved: 'genehmigt',
  approveClean: '{n} sauberen Tag genehmigen | {n} saubere Tage genehmigen',
  wasApproved: '{days} genehmigt.',
  approveTheWeek: 'Die Woche genehmigen',
  noTimeRecordedInThisWeek: 'In dieser Woche ist keine Zeit erfasst.',
  confirmed: 'bestätigt',
  overtime: '{hours} Überstunden',
  decidedOvertime: '{hours} Überstunden, entschieden',
};
