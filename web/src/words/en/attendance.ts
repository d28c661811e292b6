export const attendance = {
  accountedAttendedTimeThatLies:
    'Accounted: attended time that lies in job or indirect work, or was entered by hand. Days are calendar days, from midnight to midnight.',
  accounted: 'accounted',
  onJobs: 'on jobs',
  notAccountedFor: 'not accounted for',
  timeOnJobsOrIndirectWorkWhile:
    'Time on jobs or indirect work while not signed in, on a break, or beyond what was attended: it is in those sums and not in the attended time',
  ofItOutsideAShift: 'of it outside a shift',
  of: '{percent} of {hours}',
  missing: '{hours} missing',
  attended: 'attended,',
  onJobsAnd: 'on jobs,',
  onBreak: 'on break,',
  missingWord: 'missing',
  nobodyHasAttendedInTheseDays: 'Nobody has attended in these days.',
  darkOnJobsGreyIndirectTheNotch:
    'Dark: on jobs. Grey: indirect. The notch: the billed hours expected of that person on a planned day. Days are calendar days, from midnight to midnight; Approve counts a night shift to the day it began.',
  billedHoursExpected: 'billed hours expected',
  liveFloor: 'Live floor',
  allDays: 'All days',
  ofItOnJobs: '{name}, {day}: {hours}, {hours2} of it on jobs',
  noTimeRecordedInTheseDays: 'No time recorded in these days.',
} as const;
