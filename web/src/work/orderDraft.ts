import { keysOf } from '@wergon/core/result';
import type { NewOrderInput, Preparation, StandardTaskJson } from '@wergon/contract/work';
import type { OrderJson } from '@wergon/contract/compare';
import { centsOf, formatDecimal, fraction, parseDecimal, parseRate, toRate } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { formatDay, formatHours, isSaidLength, parseHours, toSeconds } from '@wergon/core/time';
import {
  estimateOrder,
  estimateSeconds,
  mergeChanges,
  sumInstructions,
  usuallyIncluded,
} from '@wergon/core/work';
import type { EstimateHours, OrderEstimate, WorkType } from '@wergon/core/work';
import type { Charge } from '@wergon/contract/shop';
import { t } from '../words/index.ts';

/** A task as it is being written: hours and amounts as typed. */
export type TaskDraft = {
  id: string | null;
  title: string;
  workCenter: string;
  grade: string;
  setupHours: string;
  runHours: string;
  runHoursPerPiece: string;
  description: string;
  instructions: { text: string; hours: string }[];
  reports: NonNullable<NewOrderInput['tasks'][number]['reports']>;
  price: string;
  isOptional: boolean;
  costCode: string;
  charge: Charge | null;
  assigned: { kind: 'technician' | 'crew'; id: string }[];
  origin: NonNullable<NewOrderInput['tasks'][number]['origin']> | null;
};

/** What an order needs beside time; the quantity as it is typed. */
export type PartDraft = { name: string; quantity: number | string };

/** An order as it is being written. */
export type OrderDraft = {
  number: string;
  title: string;
  customer: string;
  quantity: number | string;
  due: string;
  division: string;
  jobType: string;
  item: string;
  unit: string;
  price: string;
  notes: string;
  parts: PartDraft[];
  charge: Charge | null;
  estimateIncludes: WorkType[];
  tasks: TaskDraft[];
};

export const HOURS = ['setupHours', 'runHours', 'runHoursPerPiece'] as const;
/** What the fields of a task are called on the page. */
export const HOUR_WORDS = {
  setupHours: t('work.setup'),
  runHours: t('work.run'),
  runHoursPerPiece: t('work.perPiece'),
} as const;

export const newTask = (): TaskDraft => ({
  id: null,
  title: '',
  workCenter: '',
  grade: '',
  setupHours: '',
  runHours: '',
  runHoursPerPiece: '',
  description: '',
  instructions: [],
  reports: [],
  price: '',
  isOptional: false,
  costCode: '',
  charge: null,
  assigned: [],
  origin: null,
});

export const newOrder = (number: string): OrderDraft => ({
  number,
  title: '',
  customer: '',
  quantity: 1,
  due: '',
  division: '',
  jobType: '',
  item: '',
  unit: '',
  price: '',
  notes: '',
  parts: [],
  charge: null,
  estimateIncludes: usuallyIncluded(false),
  tasks: [],
});

/** A stored order, to be written on. */
export const draftOf = ({ order, tasks }: OrderJson): OrderDraft => ({
  number: order.number,
  title: order.title,
  customer: order.customer,
  quantity: order.quantity,
  due: order.due === null ? '' : formatDay(order.due),
  division: order.division,
  jobType: order.jobType,
  item: order.item,
  unit: order.unit ?? '',
  price: order.price ?? '',
  notes: order.notes,
  parts: order.parts.map((part) => ({ ...part })),
  charge: order.charge,
  estimateIncludes: order.includes,
  tasks: tasks.map((task) => ({
    ...stepDraft(task),
    id: task.id,
    isOptional: task.isOptional,
    costCode: task.costCode,
    charge: task.charge,
    assigned: task.assigned.map(({ kind, id }) => ({ kind, id })),
    origin: task.origin,
  })),
});

type Step = Pick<
  StandardTaskJson,
  | 'title'
  | 'workCenter'
  | 'grade'
  | 'setupHours'
  | 'runHours'
  | 'runHoursPerPiece'
  | 'description'
  | 'instructions'
  | 'reports'
  | 'price'
>;

/** A step of a standard or of an order, to be written on. */
export const stepDraft = (step: Step): TaskDraft => ({
  ...newTask(),
  title: step.title,
  workCenter: step.workCenter,
  grade: step.grade,
  setupHours: hoursShown(step.setupHours),
  runHours: hoursShown(step.runHours),
  runHoursPerPiece: hoursShown(step.runHoursPerPiece),
  description: step.description ?? '',
  instructions: step.instructions.map(({ text, hours }) => ({ text, hours: hoursShown(hours) })),
  reports: step.reports.map((report) => ({ ...report })),
  price: step.price ?? '',
});

/** Decimals of an hour that the wire takes: a third of an hour, ten thousand times over, is right to the second. */
const HOUR_DECIMALS = 10;

/** Hours as they are sent: `4:15` becomes `4.25`, a comma a point; what is neither stays as it was typed. */
export function hoursGiven(text: string): string {
  const seconds = text.includes(':') ? parseHours(text) : undefined;
  if (seconds === undefined) return given(text);
  const scaled = (BigInt(seconds) * 10n ** BigInt(HOUR_DECIMALS) * 2n + 3600n) / 7200n;
  return formatDecimal(fraction(scaled, 10n ** BigInt(HOUR_DECIMALS)));
}
/** Whether what stands in a field for hours can be read; nothing can. */
export const areHours = (text: string): boolean => {
  const sent = hoursGiven(text);
  return sent === '' || parseDecimal(sent).ok;
};
/** Hours for a field: as they were entered, and a third of an hour as minutes rather than as ten decimals. */
function hoursShown(hours: string | undefined): string {
  const decimals = hours?.split('.')[1]?.length ?? 0;
  const seconds = Math.round(Number(hours) * 3600);
  return decimals > 4 && seconds % 60 === 0 ? formatHours(toSeconds(seconds), 'h:mm') : (hours ?? '');
}

/** A comma is read as a point; empty is left out. */
const given = (text: string | number): string => String(text).trim().replace(',', '.');
const orNull = (text: string): string | null => (given(text) === '' ? null : given(text));

/** A step as it is sent. */
export const stepBody = (task: TaskDraft) => ({
  title: task.title,
  workCenter: task.workCenter,
  grade: task.grade,
  ...Object.fromEntries(
    HOURS.flatMap((field) => (given(task[field]) === '' ? [] : [[field, hoursGiven(task[field])]])),
  ),
  description: task.description,
  instructions: task.instructions
    .filter(({ text }) => text.trim() !== '')
    .map(({ text, hours }) => ({ text, ...(given(hours) === '' ? {} : { hours: hoursGiven(hours) }) })),
  reports: task.reports,
  price: orNull(task.price),
});

/** An order as it is sent. */
export const orderBody = (draft: OrderDraft): NewOrderInput => ({
  ...draft,
  quantity: Number(draft.quantity),
  due: orNull(draft.due),
  unit: orNull(draft.unit),
  price: orNull(draft.price),
  parts: draft.parts
    .filter(({ name }) => name.trim() !== '')
    .map(({ name, quantity }) => ({ name, quantity: Number(quantity) })),
  tasks: draft.tasks.map((task) => ({
    ...stepBody(task),
    id: task.id,
    isOptional: task.isOptional,
    costCode: task.costCode,
    charge: task.charge,
    assigned: task.assigned,
    origin: task.origin,
  })),
});

const hoursOf = (task: TaskDraft): EstimateHours =>
  Object.fromEntries(
    HOURS.flatMap((field) => {
      const parsed = parseDecimal(hoursGiven(task[field]));
      return parsed.ok ? [[field, parsed.value]] : [];
    }),
  );

/** What the instructions of a step come to beside its hours, in words; nothing where none of them says hours. */
export function sayInstructions(
  task: TaskDraft,
  quantity: number,
  hours: (seconds: number) => string,
): string {
  const written = task.instructions.filter(({ text }) => text.trim() !== '');
  const sum = sumInstructions(
    written.map((each) => {
      const parsed = parseDecimal(hoursGiven(each.hours));
      return parsed.ok ? parsed.value : undefined;
    }),
    estimateSeconds(hoursOf(task), quantity),
  );
  if (!sum) return '';
  const params = { hours: hours(sum.seconds), difference: hours(Math.abs(sum.difference)) };
  const words = isSaidLength(Math.abs(sum.difference))
    ? t(sum.difference < 0 ? 'work.instructionsLess' : 'work.instructionsMore', params)
    : t('work.instructionsEven', params);
  return sum.counted === sum.all
    ? words
    : `${words}; ${t('work.instructionsWithHours', { counted: sum.counted, all: sum.all })}`;
}

/** Money in a field as cents; nothing for what is no amount yet. */
export function centsIn(text: string): Cents | null {
  const parsed = parseDecimal(given(text));
  return parsed.ok ? centsOf(parsed.value) : null;
}

/** What a draft comes to, at the grades' standard rates of today. Optional tasks count. */
export function estimateDraft(draft: OrderDraft, grades: Preparation['grades']): OrderEstimate {
  const rates = new Map(grades.map(({ id, standardRate }) => [id, parseRate(standardRate)]));
  const tasks = draft.tasks.map((task) => {
    const rate = rates.get(task.grade);
    return { hours: hoursOf(task), standardRate: rate?.ok ? rate.value : toRate(0) };
  });
  const quantity = Number(draft.quantity);
  return estimateOrder(
    tasks,
    Number.isInteger(quantity) && quantity >= 0 ? quantity : 0,
    centsIn(draft.price),
  );
}

const inJson = (draft: OrderDraft) =>
  Object.fromEntries(Object.entries(draft).map(([field, value]) => [field, JSON.stringify(value)]));

export type Conflict = { readonly field: keyof OrderDraft; readonly mine: string; readonly theirs: string };

/** Joins two drafts that grew out of one: what only they changed is taken over, and where both wrote something else,
 *  mine stands and the conflict is named. */
export function joinDrafts(base: OrderDraft, mine: OrderDraft, theirs: OrderDraft) {
  const { conflicts, theirsOnly } = mergeChanges(inJson(base), inJson(mine), inJson(theirs));
  const fields = keysOf(mine);
  const joined = { ...mine };
  const take = <Field extends keyof OrderDraft>(field: Field) => {
    joined[field] = theirs[field];
  };
  const taken = fields.filter((field) => theirsOnly.some((change) => change.field === field));
  taken.forEach(take);
  return {
    joined,
    taken,
    conflicts: fields.flatMap((field): Conflict[] =>
      conflicts.filter((conflict) => conflict.field === field).map((conflict) => ({ ...conflict, field })),
    ),
  };
}
