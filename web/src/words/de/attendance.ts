import type { Translation } from '../translation.ts';

export const attendance: Translation['attendance'] = {
  accountedAttendedTimeThatLies:
    'Zugeordnet: Anwesenheit, die in Aufträgen oder indirekter Arbeit liegt oder von Hand eingetragen ist. Tage sind Kalendertage, von Mitternacht bis Mitternacht.',
  accounted: 'zugeordnet',
  onJobs: 'an Aufträgen',
  notAccountedFor: 'nicht zugeordnet',
  timeOnJobsOrIndirectWorkWhile:
    'Zeit an Aufträgen oder indirekter Arbeit ohne Anmeldung, in einer Pause oder über die Anwesenheit hinaus: sie ist in diesen Summen enthalten und nicht in der Anwesenheit',
  ofItOutsideAShift: 'davon außerhalb einer Schicht',
  of: '{percent} von {hours}',
  missing: '{hours} fehlen',
  attended: 'anwesend,',
  onJobsAnd: 'an Aufträgen,',
  onBreak: 'in der Pause,',
  missingWord: 'fehlen',
  nobodyHasAttendedInTheseDays: 'In diesen Tagen war niemand da.',
  darkOnJobsGreyIndirectTheNotch:
    'Dunkel: an Aufträgen. Grau: indirekt. Die Kerbe: die verrechneten Stunden, die von der Person an einem Plantag erwartet werden. Tage sind Kalendertage, von Mitternacht bis Mitternacht; Genehmigen zählt eine Nachtschicht zu dem Tag, an dem sie begann.',
  billedHoursExpected: 'verrechnete Stunden erwartet',
  liveFloor: 'Werkstatt jetzt',
  allDays: 'Alle Tage',
  ofItOnJobs: '{name}, {day}: {hours}, davon {hours2} an Aufträgen',
  noTimeRecordedInTheseDays: 'In diesen Tagen ist keine Zeit erfasst.',
};
