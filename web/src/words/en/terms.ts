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

/** Why nobody can decide how a day is paid. */
export const splitRefusals = {
  'no-rule': 'No rule of overtime holds on this day: there is nothing to decide.',
  closed: 'This day lies in a closed pay period.',
  open: 'This day still goes on.',
  own: 'Somebody else decides on your own time.',
  'other-people': 'This is none of your people.',
} as const;

/** How an hour is paid. */
export const payClasses = {
  straight: 'straight',
  overtime: 'overtime',
  double: 'double',
} as const;

/** On what time was worked, as payroll tells it apart. */
export const workedOn = {
  job: 'on jobs',
  indirect: 'indirect',
  nothing: 'on nothing',
} as const;

export const payFields = {
  payrollNumber: 'Payroll number',
  name: 'Name',
  department: 'Department',
  firstDay: 'First day',
  lastDay: 'Last day',
  day: 'Day',
  code: 'Pay code',
  hours: 'Hours',
  class: 'Kind of time',
  order: 'Order',
  task: 'Task',
  costCode: 'Cost code',
  note: 'Note',
} as const;

export const payrollFields = {
  payrollNumber: 'Payroll number',
  period: 'Pay period',
  amount: 'Amount',
} as const;

export const payRows = {
  period: 'the whole period',
  day: 'a day',
  task: 'a day and task',
} as const;

export const paySigns = {
  comma: 'comma',
  semicolon: 'semicolon',
  tab: 'tab',
  point: 'point',
} as const;

/** What bears what overtime adds. */
export const premiumOn = {
  worked: 'the work that was done then',
  spread: 'all work of the week',
  overhead: 'no job',
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
  'split-changed': 'decided split of other time',
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
  premium: 'overtime',
  trueUp: 'payroll',
  uncosted: 'no rate',
  changed: 'changed estimate',
} as const;
