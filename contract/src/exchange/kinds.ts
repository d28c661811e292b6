import { z } from 'zod';
import type { Column } from '@wergon/core/exchange';
import { readDate, readNumber } from '@wergon/core/exchange';
import { PAY_CLASSES } from '@wergon/core/pay';
import { WORK_TYPES, estimateSeconds } from '@wergon/core/work';
import { technicianSchema, payRecordSchema, TECHNICIAN_KINDS } from '../people/index.ts';
import { dayText, hoursText } from '../wire/index.ts';
import { newOrderSchema, standardTaskSchema } from '../work/index.ts';

/** What can be brought in as a list, and, but for hours, taken out. */
export const EXCHANGE_KINDS = ['orders', 'people', 'rates', 'standards', 'hours'] as const;
export type ExchangeKind = (typeof EXCHANGE_KINDS)[number];

const column = (
  field: string,
  heading: string,
  words: readonly string[] = [],
  isRequired = false,
): Column => ({
  field,
  heading,
  words,
  isRequired,
});

const STEP_COLUMNS = [
  column('workCenter', 'Work center', ['center', 'workplace', 'resource', 'department']),
  column('grade', 'Grade', ['skill', 'class'], true),
  column('setupHours', 'Setup hours', ['setup']),
  column('runHours', 'Run hours', ['run', 'hours', 'estimate']),
  column('runHoursPerPiece', 'Run hours per piece', ['per piece', 'hours per piece', 'cycle']),
];

/** The columns of each list, in the order in which it is written. Source: docs/exchange.md. */
export const COLUMNS: Readonly<Record<ExchangeKind, readonly Column[]>> = {
  orders: [
    column('number', 'Order', ['number', 'order number', 'order no', 'wo', 'job'], true),
    column('title', 'What is done', ['title', 'description', 'job title'], true),
    column('customer', 'Customer', ['client', 'account'], true),
    column('quantity', 'Pieces', ['quantity', 'qty']),
    column('due', 'Due', ['due date', 'delivery', 'deadline']),
    column('division', 'Division'),
    column('jobType', 'Job type', ['type']),
    column('price', 'Price', ['amount', 'sales price']),
    column('taskTitle', 'Task', ['operation', 'step', 'task title'], true),
    ...STEP_COLUMNS,
  ],
  people: [
    column('number', 'Number', ['employee number', 'no', 'personnel number', 'id'], true),
    column('name', 'Name', ['full name', 'employee'], true),
    column('department', 'Department', ['dept']),
    column('crew', 'Crew', ['team', 'gang']),
    column('grade', 'Grade', ['skill', 'class']),
    column('kind', 'Kind', ['own or subcontractor']),
    column('payrollNumber', 'Payroll number', ['payroll']),
    column('initials', 'Initials', ['short']),
    column('hiredOn', 'Hired', ['hire date', 'start date']),
    column('leftOn', 'Left', ['leave date', 'end date']),
  ],
  rates: [
    column('number', 'Number', ['employee number', 'no', 'personnel number'], true),
    column('from', 'From', ['valid from', 'date', 'since'], true),
    column('per', 'Per', ['unit', 'hour or year']),
    column('base', 'Base', ['rate', 'wage', 'salary', 'pay'], true),
    column('hoursPerYear', 'Hours per year', ['annual hours']),
    column('burden', 'Burden', ['overhead', 'additions']),
  ],
  standards: [
    column('job', 'Standard job', ['job']),
    column('title', 'Task', ['title', 'operation', 'step'], true),
    column('isRequired', 'Required', ['mandatory']),
    ...STEP_COLUMNS,
    column('instructions', 'Instructions', ['work instruction', 'text']),
    column('price', 'Fixed price', ['price', 'flat price']),
  ],
  hours: [
    column('number', 'Number', ['employee number', 'no', 'personnel number'], true),
    column('day', 'Day', ['date', 'work date'], true),
    column('order', 'Order', ['order number', 'order no', 'wo', 'job']),
    column('task', 'Task', ['operation', 'step', 'activity']),
    column('workType', 'Kind of work', ['work type', 'type']),
    column('hours', 'Hours', ['time', 'quantity', 'qty'], true),
    column('payClass', 'Class', ['pay class', 'overtime']),
  ],
};

/** A row of a file: our fields as text; what is left out is empty. */
export const rowSchema = z.record(z.string().max(40), z.string().max(4000));
export type ExchangeRow = z.output<typeof rowSchema>;

const hoursOf = (row: ExchangeRow) =>
  Object.fromEntries(
    (['setupHours', 'runHours', 'runHoursPerPiece'] as const).flatMap((field) => {
      const text = readNumber(row[field] ?? '');
      return text === '' ? [] : [[field, text]];
    }),
  );
const orNull = (text: string | undefined) => (text === undefined || text === '' ? null : text);
const trimmed = (row: ExchangeRow, field: string) => (row[field] ?? '').trim();

const stepOf = (row: ExchangeRow, title: string) => ({
  title,
  workCenter: trimmed(row, 'workCenter'),
  grade: trimmed(row, 'grade'),
  ...hoursOf(row),
});

/** One task of an order, with the order's own columns; the grade is still its name. */
export const orderRowSchema = rowSchema.transform((row, context) => {
  const parsed = newOrderSchema.safeParse({
    number: trimmed(row, 'number'),
    title: trimmed(row, 'title'),
    customer: trimmed(row, 'customer'),
    quantity: trimmed(row, 'quantity') === '' ? 1 : Number(readNumber(trimmed(row, 'quantity'))),
    due: orNull(readDate(row['due'] ?? '')),
    division: trimmed(row, 'division'),
    jobType: trimmed(row, 'jobType'),
    price: orNull(readNumber(row['price'] ?? '')),
    estimateIncludes: ['setup', 'run', 'rework', 'cleanup'],
    tasks: [stepOf(row, trimmed(row, 'taskTitle'))],
  });
  if (parsed.success) return parsed.data;
  for (const { path, message } of parsed.error.issues) {
    const field = String(path.at(-1) ?? '');
    const isTaskTitle = path[0] === 'tasks' && field === 'title';
    context.addIssue({ code: 'custom', path: [isTaskTitle ? 'taskTitle' : field], message });
  }
  return z.NEVER;
});

const passOn = (error: z.ZodError, context: z.RefinementCtx, prefix = 0) => {
  for (const { path, message } of error.issues)
    context.addIssue({ code: 'custom', path: path.slice(prefix).map(String), message });
};

export const personRowSchema = rowSchema.transform((row, context) => {
  const kind = trimmed(row, 'kind').toLowerCase();
  const parsed = technicianSchema.safeParse({
    number: trimmed(row, 'number'),
    name: trimmed(row, 'name'),
    department: trimmed(row, 'department'),
    crew: trimmed(row, 'crew'),
    grade: orNull(trimmed(row, 'grade')),
    kind: kind === '' ? 'own' : (TECHNICIAN_KINDS.find((each) => each.startsWith(kind)) ?? kind),
    payrollNumber: trimmed(row, 'payrollNumber'),
    initials: trimmed(row, 'initials'),
    hiredOn: orNull(readDate(row['hiredOn'] ?? '')),
    leftOn: orNull(readDate(row['leftOn'] ?? '')),
  });
  if (parsed.success) return parsed.data;
  passOn(parsed.error, context);
  return z.NEVER;
});

const BURDEN_KINDS: Readonly<Record<string, string>> = {
  '%': 'percent',
  percent: 'percent',
  'per hour': 'perHour',
  'per year': 'perYear',
};

/** Burden as one text: `Pension 12.4 %; Tools 3.20 per hour`. */
function readBurden(text: string): readonly { name: string; kind: string; value: string }[] | undefined {
  const items = text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean);
  const read = items.map((item) => /^(.*?)\s*([\d.,]+)\s*(%|percent|per hour|per year)$/i.exec(item));
  if (read.some((match) => !match)) return undefined;
  return read.map((match) => ({
    name: match?.[1] ?? '',
    kind: BURDEN_KINDS[match?.[3]?.toLowerCase() ?? ''] ?? '',
    value: readNumber(match?.[2] ?? ''),
  }));
}

export const rateRowSchema = rowSchema.transform((row, context) => {
  const burden = readBurden(row['burden'] ?? '');
  if (!burden) {
    context.addIssue({
      code: 'custom',
      path: ['burden'],
      message: 'expected items such as "Pension 12.4 %; Tools 3.20 per hour"',
    });
    return z.NEVER;
  }
  const hoursPerYear = readNumber(row['hoursPerYear'] ?? '');
  const parsed = z.strictObject({ number: z.string().min(1), record: payRecordSchema }).safeParse({
    number: trimmed(row, 'number'),
    record: {
      from: readDate(row['from'] ?? ''),
      per: trimmed(row, 'per').toLowerCase() || 'hour',
      base: readNumber(row['base'] ?? ''),
      ...(hoursPerYear === '' ? {} : { hoursPerYear }),
      burden,
    },
  });
  if (parsed.success) return parsed.data;
  for (const { path, message } of parsed.error.issues)
    context.addIssue({
      code: 'custom',
      path: [path[0] === 'record' ? String(path[1]) : String(path[0])],
      message,
    });
  return z.NEVER;
});

const NO = ['no', 'n', '0', 'false', 'optional'];

export const standardRowSchema = rowSchema.transform((row, context) => {
  const parsed = standardTaskSchema.safeParse({
    ...stepOf(row, trimmed(row, 'title')),
    instructions: (row['instructions'] ?? '')
      .split('|')
      .map((text) => text.trim())
      .filter(Boolean)
      .map((text) => ({ text })),
    price: orNull(readNumber(row['price'] ?? '')),
  });
  if (parsed.success)
    return {
      job: trimmed(row, 'job'),
      isRequired: !NO.includes(trimmed(row, 'isRequired').toLowerCase()),
      task: parsed.data,
    };
  passOn(parsed.error, context);
  return z.NEVER;
});

/** A row of hours that were entered elsewhere; person, order and task are still what the file calls them. */
export const hoursRowSchema = rowSchema.transform((row, context) => {
  const parsed = hoursFields.safeParse({
    number: trimmed(row, 'number'),
    day: readDate(row['day'] ?? ''),
    order: trimmed(row, 'order'),
    task: trimmed(row, 'task'),
    workType: trimmed(row, 'workType').toLowerCase() || 'run',
    hours: readNumber(row['hours'] ?? ''),
    ...(trimmed(row, 'payClass') === '' ? {} : { payClass: trimmed(row, 'payClass').toLowerCase() }),
  });
  if (!parsed.success) {
    passOn(parsed.error, context);
    return z.NEVER;
  }
  const { hours, ...fields } = parsed.data;
  return { ...fields, seconds: estimateSeconds({ runHours: hours }, 1) };
});
export type HoursRow = z.output<typeof hoursRowSchema>;
const hoursFields = z.strictObject({
  number: z.string().min(1).max(40),
  day: dayText,
  order: z.string().max(200),
  task: z.string().max(200),
  workType: z.enum(WORK_TYPES),
  hours: hoursText.refine(
    ({ numerator, denominator }) => numerator >= 0n && numerator <= 24n * denominator,
    'a day holds no more than 24 hours',
  ),
  payClass: z.enum(PAY_CLASSES).exactOptional(),
});
