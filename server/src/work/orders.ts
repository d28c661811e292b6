import type { TargetId } from '@wergon/core/ledger';
import { newId } from '../db/index.ts';
import type { EntityManager } from '@mikro-orm/libsql';
import type { NewOrder, TaskFields } from '@wergon/contract/work';
import { centsOf, formatCents, formatDecimal, formatRate, toRate } from '@wergon/core/money';
import type { Cents, Fraction, Rate } from '@wergon/core/money';
import { dated, formatDay, inForceAt } from '@wergon/core/time';
import type { Dated, Instant } from '@wergon/core/time';
import { estimateCost, estimateSeconds } from '@wergon/core/work';
import type { InWords, OrderState, WorkOrderId } from '@wergon/core/work';
import { writeCharge, ensureListItems } from '../shop/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import type { CodeDrawer } from '../scan/index.ts';
import { OrderEntity, TaskEntity } from './entities.ts';
import type { Task, WorkOrder } from './entities.ts';
import { HOURS, writeHours } from './taskEstimate.ts';

/** Standard rates by the id of their grade; holds every grade that a task names. */
export type GradeRates = ReadonlyMap<string, Rate>;

/** Space between positions, so that papers already printed keep their order when a task comes in between. */
const POSITION_STEP = 10;

export const priceInCents = (amount: Fraction | null): Cents | null => amount && centsOf(amount);

export const writeInstructions = (instructions: TaskFields['instructions']) =>
  instructions.map(({ text, hours }) => ({ text, ...(hours ? { hours: formatDecimal(hours) } : {}) }));

const orderColumns = (order: NewOrder) => ({
  number: order.number,
  title: order.title,
  customer: order.customer,
  quantity: order.quantity,
  dueDay: order.due,
  includes: order.estimateIncludes,
  division: order.division,
  jobType: order.jobType,
  item: order.item,
  unit: order.unit,
  price: priceInCents(order.price),
  notes: order.notes,
  parts: order.parts,
  charge: writeCharge(order.charge),
});

const taskColumns = (task: TaskFields, position: number) => ({
  position,
  title: task.title,
  workCenter: task.workCenter,
  grade: task.grade,
  hasEstimate: HOURS.some((field) => task[field] !== undefined),
  hours: writeHours(task),
  description: task.description,
  instructions: writeInstructions(task.instructions),
  reports: task.reports,
  price: priceInCents(task.price),
  isOptional: task.isOptional,
  costCode: task.costCode,
  charge: writeCharge(task.charge),
  assigned: task.assigned,
  origin: task.origin,
});

const labelsOf = (order: NewOrder) => ({
  customer: [order.customer],
  division: [order.division],
  'job-type': [order.jobType],
  'work-center': order.tasks.map(({ workCenter }) => workCenter),
  'cost-code': order.tasks.map(({ costCode }) => costCode),
});

/** Where ids come from. */
type MakeId = <Id extends string>() => Id;
type Draft = NewOrder & { readonly states: Dated<OrderState> };

/** The rows of a new work order. Every task keeps the standard rate it was estimated with. */
export function newOrderRows(order: Draft, gradeRates: GradeRates, drawCode: CodeDrawer, makeId: MakeId) {
  const id = makeId<WorkOrderId>();
  const head = { id, code: drawCode('order'), states: order.states, version: 1, ...orderColumns(order) };
  const tasks = order.tasks.map((task, i) =>
    newTaskRow(id, task, (i + 1) * POSITION_STEP, order.quantity, gradeRates, drawCode, makeId),
  );
  return { order: head, tasks };
}

/** Adds a work order with its tasks. */
export async function addOrder(
  em: EntityManager,
  order: Draft,
  gradeRates: GradeRates,
  drawCode: CodeDrawer,
  makeId: MakeId = newId,
): Promise<WorkOrderId> {
  await ensureListItems(em, labelsOf(order), drawCode);
  const rows = newOrderRows(order, gradeRates, drawCode, makeId);
  await em.insert(OrderEntity, rows.order);
  for (const task of rows.tasks) await em.insert(TaskEntity, task);
  return rows.order.id;
}

/** Adds a task that was written down at a station at the end of an order; its papers are those of the next version. */
export async function addWrittenTask(
  em: EntityManager,
  order: WorkOrder,
  task: TaskFields,
  written: Pick<Task, 'written' | 'writtenBy'>,
  gradeRates: GradeRates,
): Promise<TargetId> {
  const [last] = await em.find(TaskEntity, { order: order.id }, { orderBy: { position: -1 }, limit: 1 });
  const position = (last?.position ?? 0) + POSITION_STEP;
  const row = newTaskRow(order.id, task, position, order.quantity, gradeRates, drawRandomCode, newId);
  await em.insert(TaskEntity, { ...row, ...written, writtenState: 'waiting' });
  await em.nativeUpdate(OrderEntity, { id: order.id }, { version: order.version + 1 });
  return row.id;
}

function newTaskRow(
  order: WorkOrderId,
  task: TaskFields,
  position: number,
  quantity: number,
  gradeRates: GradeRates,
  drawCode: CodeDrawer,
  makeId: MakeId,
) {
  const estimated = estimateSeconds(task, quantity);
  const standardRate = gradeRates.get(task.grade) ?? toRate(0);
  return {
    id: makeId<TargetId>(),
    order,
    code: drawCode('task'),
    ...taskColumns(task, position),
    estimate: dated(estimated),
    standardRate,
    estimatedCost: estimateCost(estimated, standardRate),
    originalCost: null,
    isAccepted: true,
  };
}

/** Saves an order as a whole over what it was: tasks go on by their id, new ones are added, others are deleted. A new
 *  estimate holds from `now`; what was estimated before stays. Wants every deleted task to be without labor. */
export async function saveOrder(
  em: EntityManager,
  before: WorkOrder,
  tasksBefore: readonly Task[],
  order: NewOrder,
  gradeRates: GradeRates,
  now: Instant,
  drawCode: CodeDrawer,
): Promise<void> {
  await ensureListItems(em, labelsOf(order), drawCode);
  await em.nativeUpdate(
    OrderEntity,
    { id: before.id },
    { ...orderColumns(order), version: before.version + 1 },
  );
  const kept = new Set<string | null>(order.tasks.map(({ id }) => id));
  for (const { id } of tasksBefore) if (!kept.has(id)) await em.nativeDelete(TaskEntity, { id });
  const known = new Map<string, Task>(tasksBefore.map((task) => [task.id, task]));
  for (const [i, task] of order.tasks.entries()) {
    const position = (i + 1) * POSITION_STEP;
    const old = task.id === null ? undefined : known.get(task.id);
    if (!old)
      await em.insert(
        TaskEntity,
        newTaskRow(before.id, task, position, order.quantity, gradeRates, drawCode, newId),
      );
    else
      await em.nativeUpdate(
        TaskEntity,
        { id: old.id },
        { ...taskColumns(task, position), ...reestimate(old, task, order.quantity, gradeRates, now) },
      );
  }
}

/** A task's estimate after an edit. It keeps its standard rate unless it gets another grade. */
function reestimate(old: Task, task: TaskFields, quantity: number, gradeRates: GradeRates, now: Instant) {
  const estimated = estimateSeconds(task, quantity);
  const standardRate =
    task.grade === old.grade ? old.standardRate : (gradeRates.get(task.grade) ?? toRate(0));
  const estimatedCost = estimateCost(estimated, standardRate);
  const isSame = inForceAt(old.estimate, now) === estimated && estimatedCost === old.estimatedCost;
  if (isSame) return {};
  const earlier = old.estimate.filter(({ from }) => from < now);
  return {
    standardRate,
    estimatedCost,
    originalCost: old.originalCost ?? old.estimatedCost,
    estimate: earlier.length === 0 ? dated(estimated) : [...earlier, { from: now, value: estimated }],
  };
}

/** An order as a person reads it, field by field; costs are left out. Two versions of it show what changed. */
export function orderInWords(
  order: WorkOrder,
  tasks: readonly Task[],
  names: { readonly grade: (id: string) => string; readonly unit: (id: string) => string },
): InWords {
  const words: Record<string, string> = {
    Number: order.number,
    'What is done': order.title,
    Customer: order.customer,
    Pieces: String(order.quantity),
    Due: order.dueDay == null ? '' : formatDay(order.dueDay),
    Division: order.division,
    'Job type': order.jobType,
    Item: order.item,
    Unit: order.unit == null ? '' : names.unit(order.unit),
    Price: order.price == null ? '' : formatCents(order.price),
    Notes: order.notes,
    Parts: (order.parts ?? []).map(({ name, quantity }) => `${quantity} × ${name}`).join(', '),
    'Estimate includes': [...order.includes].sort().join(', '),
    Tasks: tasks.map(({ title }) => title).join(', '),
  };
  for (const task of tasks) {
    const say = (field: string, value: string) => {
      if (value !== '') words[`${task.title}: ${field}`] = value;
    };
    say('work center', task.workCenter);
    say('grade', names.grade(task.grade));
    for (const [field, hours] of Object.entries(task.hours ?? {}))
      say(
        field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`),
        hours,
      );
    say('description', task.description);
    say('instructions', (task.instructions ?? []).map(({ text }) => text).join('; '));
    say('optional', task.isOptional ? 'yes' : '');
    say('assigned', (task.assigned ?? []).map(({ id }) => id).join(', '));
    say('rate estimated with', task.hasEstimate ? formatRate(task.standardRate) : '');
  }
  return words;
}
