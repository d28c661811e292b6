/** Why somebody is away. */
export const absences = {
  holiday: 'holiday',
  sick: 'sick',
  training: 'training',
  'unpaid leave': 'unpaid leave',
  other: 'other',
} as const;

/** What an import is at. */
export const exchangeSteps = {
  reading: 'Reading the file',
  checking: 'Checking every row',
  storing: 'Storing',
  writing: 'Writing the file',
} as const;

/** Why a file cannot be read. */
export const fileProblems = {
  empty: 'The file is empty.',
  'too-large': 'The file is larger than 30 MB.',
  'no-headings': 'The first row has no headings.',
  'no-rows': 'There are no rows below the headings.',
  'no-table': 'This is neither a CSV nor an XLSX file.',
  broken: 'This XLSX file is broken, or it is another kind of file.',
  'no-sheet': 'The workbook has no sheet with anything in it.',
} as const;

/** How names stand on badges. */
export const nameForms = {
  'as-written': 'as written',
  'last-name-first': 'last name first',
} as const;

/** By what badges are sorted. */
export const nameOrders = {
  name: 'name',
  number: 'number',
  department: 'department',
} as const;

/** An empty list of orders, by what it shows. */
export const noOrders = {
  floor: 'No orders are on the floor.',
  estimates: 'No estimates are asked for or offered.',
  preparing: 'No orders are in preparation.',
  finished: 'No orders are finished.',
  closed: 'No orders are closed.',
  all: 'There are no orders yet.',
} as const;

/** Behind the number of orders in a list, by what it shows. */
export const orderCount = {
  floor: 'order on the floor | orders on the floor',
  estimates: 'estimate | estimates',
  preparing: 'order in preparation | orders in preparation',
  finished: 'order finished | orders finished',
  closed: 'order closed | orders closed',
  all: 'order in all | orders in all',
} as const;

/** What somebody is in while at work. */
export const presence = {
  shift: 'shift',
  break: 'break',
} as const;

/** What a task asks to be reported. */
export const reportKinds = { value: 'value', pieces: 'pieces', remark: 'remark' } as const;

/** When it is asked for. */
export const reportTimes = { start: 'at start', end: 'at end', done: 'at done' } as const;

/** What a right lets a person do. */
export const rights = {
  'own.time': 'see and confirm their own time',
  'floor.see': 'see who is on what',
  'floor.answer': 'answer what people ask for at stations',
  'work.see': 'see orders, tasks and how they compare with their estimates',
  'work.change': 'make and change orders and standards, release, hold and close them',
  'offers.ask': 'ask for estimates, mail offers and enter the customers’ answers',
  'people.see': 'see people, their plans and absences',
  'people.change': 'change people, their badges, PINs, plans and absences',
  'rates.see': 'see and change cost rates, and costs that are one person’s',
  'ledger.see': 'open a labor line down to its scans',
  'ledger.correct': 'record and correct labor from the desk',
  'reconcile.see': 'see loose ends and scans that were not understood',
  'time.approve': 'approve shift days of other people',
  'pay.see': 'see pay periods',
  'pay.close': 'close pay periods',
  'pay.reopen': 'reopen the last closed pay period',
  'shop.see': 'see lists, stations and labels',
  'shop.change': 'change lists, stations and settings',
  'users.change': 'say who may sign in at the desk, and as what',
} as const;

/** What somebody is in the shop. */
export const roles = {
  own: 'own time only',
  technician: 'technician',
  lead: 'lead',
  supervisor: 'supervisor',
  planner: 'planner',
  bookkeeper: 'bookkeeper',
  administrator: 'administrator',
} as const;

/** Whom the floor shows. */
export const shown = {
  everybody: 'everybody',
  'on tasks': 'on tasks',
  'on indirect work': 'on indirect work',
  'on break': 'on break',
  'no task': 'no task',
  'not here': 'not here',
} as const;

/** How an entry came in. */
export const sources = {
  scan: 'scan',
  touch: 'touch',
  typed: 'typed',
  camera: 'camera',
  desk: 'desk',
  import: 'import',
  api: 'api',
} as const;

/** What a station is for. */
export const stationKinds = {
  labor: 'labor',
  presence: 'presence',
} as const;

/** How hours stand to their estimate. */
export const balances = { over: 'over', left: 'left', under: 'under', even: 'even', used: 'used' } as const;

/** What of an order was changed, as its history names it. */
export const orderFields = {
  Order: 'Order',
  State: 'State',
  Number: 'Number',
  'What is done': 'What is done',
  Customer: 'Customer',
  Pieces: 'Pieces',
  Due: 'Due',
  Division: 'Division',
  'Job type': 'Job type',
  Item: 'Item',
  Unit: 'Unit',
  Price: 'Price',
  Notes: 'Notes',
  'Estimate includes': 'Estimate includes',
  Tasks: 'Tasks',
  Parts: 'Parts',
  Offer: 'Offer',
  Title: 'Title',
  For: 'For',
  'Work center': 'Work center',
  'Setup hours': 'Setup hours',
  'Run hours': 'Run hours',
  'Run hours per piece': 'Run hours per piece',
  Description: 'Description',
  Instructions: 'Instructions',
  Reports: 'Reports',
  'Fixed price': 'Fixed price',
} as const;

/** Where an order stands. */
export const orderStates = {
  asked: 'asked for',
  offered: 'offered',
  lost: 'lost',
  draft: 'draft',
  accepted: 'accepted',
  released: 'released',
  'on-hold': 'on hold',
  finished: 'finished',
  closed: 'closed',
} as const;

/** What several loose ends of one kind are called. */
export const looseEndKinds = {
  'double-shift-in': 'second sign-ins',
  'shift-out-without-in': 'sign-outs without a sign-in',
  'stop-without-start': 'stops without a start',
  'forgotten-shift-out': 'missing sign-outs',
  'forgotten-stop': 'missing stops',
  gap: 'gaps',
  'work-outside-shift': 'days with work outside the shift',
  'long-break': 'long breaks',
  'no-rate': 'days without a rate',
  'cost-changed': 'costs set by hand for other time',
  'not-released': 'starts on orders that were not released',
  'after-done': 'starts on finished tasks',
  'clock-jump': 'moved clocks',
  'unknown-code': 'unknown codes',
  'refused-entry': 'refused entries',
  'badge-hop': 'badges in two places',
  'badge-pair': 'badges always scanned together',
  clock: 'scans with a clock ahead',
} as const;

/** How a station's screen looks. */
export const themes = { dark: 'dark', light: 'light' } as const;

/** How somebody is known at a station. */
export const knownBy = {
  badge: 'badge',
  card: 'own card',
  'badge-and-pin': 'badge and PIN',
  'pin-unchecked': 'badge, PIN not checked',
  name: 'name alone',
  number: 'number typed',
  'number-and-pin': 'number and PIN',
  'own-phone': 'phone of their own',
} as const;

/** Whose time a role touches. */
export const reaches = {
  all: 'everybody’s time',
  crew: 'the time of the crew they lead',
} as const;

/** What stations ask the reason of. */
export const reasonKinds = {
  down: 'when work waits or stands still',
  rework: 'when work is done again',
  scrap: 'when pieces are scrap',
} as const;

/** What is done to several records at once; who or how much stands behind it. */
export const recordActs = {
  out: 'take out',
  give: 'give to',
  work: 'put on other work',
  earlier: 'move earlier by',
  later: 'move later by',
} as const;

/** Who may write down at a station what no task is there for. */
export const writers = { nobody: 'nobody', leads: 'leads', everybody: 'everybody' } as const;

/** Fields that a shop can do without. */
export const spareFields = {
  unit: 'unit on the bench',
  item: 'item, for stock',
  division: 'division',
  jobType: 'job type',
  price: 'prices',
  charge: 'how it is charged',
  parts: 'parts',
  description: 'words of a task as a whole',
  reports: 'reports of a task',
  costCode: 'cost code',
  optional: 'optional tasks',
  assigned: 'who a task is assigned to',
} as const;

/** What was changed of one of an order's tasks. */
export const taskFields = {
  'work center': 'work center',
  grade: 'grade',
  'setup hours': 'setup hours',
  'run hours': 'run hours',
  'run hours per piece': 'run hours per piece',
  description: 'description',
  instructions: 'instructions',
  optional: 'optional',
  assigned: 'assigned',
  'rate estimated with': 'rate estimated with',
} as const;

/** What was done, as a history keeps it. */
export const orderActs = {
  'made as a draft': 'made as a draft',
  'estimate asked for': 'estimate asked for',
  'written down at a station': 'written down at a station',
  'tied to another task': 'tied to another task',
  'kept as a task': 'kept as a task',
  yes: 'yes',
  everything: 'everything',
} as const;

/** Why labor costs other than estimated. */
export const causes = {
  setup: 'setup',
  scrap: 'scrap',
  quantity: 'other quantity',
  run: 'run',
  rework: 'rework',
  cleanup: 'cleanup',
  down: 'down',
  travel: 'travel',
  soFar: 'past the estimate',
  mix: 'other grade',
  rate: 'rates',
  uncosted: 'no rate',
  changed: 'changed estimate',
} as const;

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
