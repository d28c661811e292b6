export const pay = {
  endedNotClosed: 'ended, not closed',
  itClosesWhenItIsOver: 'It closes when it is over.',
  anEarlierPayPeriodIsStillOpen: 'An earlier pay period is still open: close that one first.',
  ofLabor: 'of labor',
  ofAdjustments: 'of adjustments',
  closedByWhatComesAfterIsAnAdjustment:
    'Closed by {name}, {time}. What comes after is an adjustment in the first open period.',
  hashOfTheJournalsLastEntryBefore: 'hash of the journal’s last entry before the closing',
  head: 'head {head}',
  unapprovedTimeIsLeftOutAndBecomes:
    'Unapproved time is left out and becomes an adjustment in the next period once approved.',
  everythingIsApproved: 'Everything is approved.',
  moreLaborThanAttendedTimeCheck:
    '{n} person has more labor than attended time: check their days before closing. | {n} people have more labor than attended time: check their days before closing.',
  closeThisPeriod: 'Close this period',
  whyItIsReopened: 'Why it is reopened',
  reopenItBecause: 'reopen it, because…',
  laborOpenNotYetApproved: 'Labor; open: not yet approved',
  labor: 'Labor',
  attended: 'Attended',
  aboveAttended: '{hours} above attended',
  noTimeRecordedInThisPeriod: 'No time recorded in this period.',
  adjustments: 'Adjustments',
  adjustmentsToClosedPeriods: 'Adjustments to closed periods',
  running: 'running',
  whoSeesEverybodyClosesIt: 'Somebody who sees everybody closes it.',
} as const;
