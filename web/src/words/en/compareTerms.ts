/* Lists of what Compare is told by: causes, periods, what is grouped and cut, in English. */

/** What a cause adds, as a sentence says it. */
export const causeMore = {
  setup: '{hours} more setup',
  scrap: '{hours} for scrap',
  quantity: '{hours} for extra pieces',
  run: '{hours} more',
  rework: '{hours} of rework',
  cleanup: '{hours} of cleanup',
  down: '{hours} of downtime',
  travel: '{hours} of travel',
  soFar: '{hours} past the estimate',
  mix: '{money} more for a dearer grade than planned',
  rate: '{money} more for people who cost more than their grade',
  premium: '{money} for overtime',
  trueUp: '{money} beyond the rates, as payroll paid',
  uncosted: '{money} of work without a rate',
  changed: '{hours} added to the first estimate',
} as const;
/** What a cause saves. */
export const causeLess = {
  setup: '{hours} less setup',
  scrap: '{hours} less for scrap',
  quantity: '{hours} less for fewer pieces',
  run: '{hours} less',
  rework: '{hours} less rework',
  cleanup: '{hours} less cleanup',
  down: '{hours} less downtime',
  travel: '{hours} less travel',
  soFar: '{hours} left of the estimate',
  mix: '{money} less for a cheaper grade than planned',
  rate: '{money} less for people who cost less than their grade',
  premium: '{money} less for overtime',
  trueUp: '{money} less than by the rates, as payroll paid',
  uncosted: '{money} not counted, because there is no rate',
  changed: '{hours} taken out of the first estimate',
} as const;

/** Stretches of time that figures are told of. */
export const periods = {
  day: 'A day',
  week: 'A week',
  weeks: 'Eight weeks',
  month: 'A month',
  quarter: 'A quarter',
  year: 'A year',
  days: 'Own days',
} as const;
/** What one step leads on by. */
export const periodSteps = {
  day: 'day',
  week: 'week',
  weeks: 'week',
  month: 'month',
  quarter: 'quarter',
  year: 'year',
} as const;
/** What jobs are grouped by. */
export const jobFields = {
  customer: 'customer',
  division: 'division',
  jobType: 'job type',
  standard: 'standard job',
  estimator: 'estimator',
  month: 'month',
} as const;
export const jobFieldsMany = {
  customer: 'customers',
  division: 'divisions',
  jobType: 'job types',
  standard: 'standard jobs',
  estimator: 'estimators',
  month: 'months',
} as const;
export const noJobField = {
  customer: 'no customer',
  division: 'no division',
  jobType: 'no job type',
  standard: 'made by hand',
  estimator: 'not known',
  month: 'not finished',
} as const;
export const jobSorts = {
  over: 'Most over',
  hours: 'Most hours over',
  under: 'Most under',
  latest: 'Latest first',
  number: 'By number',
} as const;
/** What the causes of a period are cut by. */
export const causeCuts = {
  workCenter: 'work center',
  task: 'task',
  standard: 'standard task',
  grade: 'grade',
  customer: 'customer',
  division: 'division',
  jobType: 'job type',
  month: 'month',
} as const;
export const noCauseCut = {
  workCenter: 'no work center',
  task: 'no title',
  standard: 'made by hand',
  grade: 'no grade',
  customer: 'no customer',
  division: 'no division',
  jobType: 'no job type',
  month: 'not finished',
} as const;

/** What the figures of people are. */
export const peopleFigures = {
  attended: 'signed in, without breaks',
  onJobs: 'time on tasks, whatever the kind of work',
  indirect: 'time on indirect work',
  productivity: 'on jobs ÷ attended',
  expected: 'billed hours expected on each planned day up to today',
  earned:
    'their share of the estimates of tasks that were finished in the period, by their share of the work',
  target: 'earned ÷ expected',
  own: 'their own time on those tasks, on whatever day',
  efficiency: 'earned ÷ used for it; not told where most of it was shared between tasks or written down',
  margin: 'earned − used for it',
  measured: 'how much of the time used was measured on one task alone',
} as const;
/** People who belong to no group. */
export const noGroup = { department: 'No department', crew: 'No crew' } as const;

/** What labor is cut by. */
export const cutFields = {
  person: 'person',
  department: 'department',
  crew: 'crew',
  grade: 'grade',
  order: 'order',
  task: 'task',
  customer: 'customer',
  unit: 'unit',
  division: 'division',
  jobType: 'job type',
  costCode: 'cost code',
  workCenter: 'work center',
  machine: 'machine',
  kind: 'job or indirect',
  activity: 'indirect activity',
  workType: 'kind of work',
  reason: 'reason',
  day: 'day',
  week: 'week',
  month: 'month',
} as const;
/** Labor that has nothing of it. */
export const noCutField = {
  person: 'nobody',
  department: 'no department',
  crew: 'no crew',
  grade: 'no grade',
  order: 'indirect work',
  task: 'indirect work',
  customer: 'no customer',
  unit: 'no unit',
  division: 'no division',
  jobType: 'no job type',
  costCode: 'no cost code',
  workCenter: 'no work center',
  machine: 'no machine',
  kind: 'neither',
  activity: 'on jobs',
  workType: 'indirect work',
  reason: 'no reason',
  day: 'no day',
  week: 'no week',
  month: 'no month',
} as const;
/** Cuts that are there from the start. */
export const usualCuts = {
  personJob: 'By person and job',
  jobPerson: 'By job and person',
  activity: 'Activity of a job, day by day',
  costCode: 'By cost code',
  date: 'By date',
  indirect: 'Indirect work',
  reason: 'By reason',
  workType: 'By kind of work',
} as const;

/** What a machine’s time is. */
export const machineParts = { used: 'used', down: 'down', idle: 'idle' } as const;
