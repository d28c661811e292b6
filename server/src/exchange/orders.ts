import { groupBy, itemAt } from '@wergon/core/result';
import { newId } from '../db/index.ts';
import { orderRowSchema } from '@wergon/contract/exchange';
import type { NewOrder } from '@wergon/contract/work';
import { formatDecimal, formatCents, toCents } from '@wergon/core/money';
import { dated, formatDay } from '@wergon/core/time';
import { GradeEntity } from '../people/index.ts';
import { ensureListItems } from '../shop/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { OrderEntity, TaskEntity, newOrderRows } from '../work/index.ts';
import type { Task, WorkOrder } from '../work/index.ts';
import { inParts } from './list.ts';
import type { Judged, StoredList } from './list.ts';

const HEADER = ['title', 'customer', 'quantity', 'due', 'division', 'jobType'] as const;
const headerOf = (order: NewOrder) =>
  JSON.stringify([...HEADER.map((field) => order[field]), order.price && formatDecimal(order.price)]);
const HEADER_WORDS = 'differs from the first row of this order';

type Stored = { readonly order: WorkOrder; readonly tasks: readonly Task[] };

const hoursText = (hours: Readonly<Record<string, string>> | null | undefined) =>
  ['setupHours', 'runHours', 'runHoursPerPiece'].map((field) => hours?.[field] ?? '');

/** What a row says of its task and order, to be compared with what is stored. */
function linesOf(orders: readonly NewOrder[], gradeName: (id: string) => string): string[] {
  return orders.flatMap((order) =>
    order.tasks.map((task) =>
      JSON.stringify([
        headerOf(order),
        task.title,
        task.workCenter,
        gradeName(task.grade),
        ...(['setupHours', 'runHours', 'runHoursPerPiece'] as const).map((field) => {
          const hours = task[field];
          return hours ? formatDecimal(hours) : '';
        }),
      ]),
    ),
  );
}

function storedLines({ order, tasks }: Stored, gradeName: (id: string) => string): string[] {
  const price = order.price == null ? null : String(Number(formatCents(toCents(order.price))));
  const header = JSON.stringify([
    order.title,
    order.customer,
    order.quantity,
    order.dueDay ?? null,
    order.division,
    order.jobType,
    price,
  ]);
  return tasks.map((task) =>
    JSON.stringify([header, task.title, task.workCenter, gradeName(task.grade), ...hoursText(task.hours)]),
  );
}

/** Work orders with their tasks, a row a task. An order that is there already is never written over. */
export const ORDERS: StoredList<NewOrder> = {
  schema: orderRowSchema,
  groupOf: ({ number = '' }) => number.trim(),
  validateRows: async (em, rows) => {
    const grades = await em.findAll(GradeEntity);
    const idOf = new Map(grades.map(({ id, name }) => [name.toLowerCase(), id]));
    const byNumber = groupBy(rows, ({ number }) => number);
    const stored = await loadStored(em, [...byNumber.keys()]);
    const gradeName = (id: string) => grades.find((grade) => grade.id === id)?.name.toLowerCase() ?? id;
    const same = new Map(
      [...stored].map(([number, each]) => {
        const given = linesOf(byNumber.get(number) ?? [], (name) => name.toLowerCase());
        return [number, JSON.stringify(given) === JSON.stringify(storedLines(each, gradeName))];
      }),
    );
    return rows.map((row): Judged => {
      const grade = row.tasks[0]?.grade ?? '';
      if (!idOf.has(grade.toLowerCase())) return { field: 'grade', message: `no grade is called “${grade}”` };
      const first = byNumber.get(row.number)?.[0];
      if (first && headerOf(first) !== headerOf(row)) return { field: 'number', message: HEADER_WORDS };
      const isSame = same.get(row.number);
      if (isSame === undefined) return 'new';
      return isSame ? 'same' : { field: 'number', message: 'there is another order of this number' };
    });
  },
  store: async (em, rows) => {
    const grades = await em.findAll(GradeEntity);
    const idOf = new Map(grades.map(({ id, name }) => [name.toLowerCase(), id]));
    const rates = new Map(grades.map(({ id, standardRate }) => [id, standardRate]));
    const orders = [...groupBy(rows, ({ number }) => number).values()].map((own) => ({
      ...itemAt(own, 0),
      states: dated('draft' as const),
      tasks: own.flatMap(({ tasks }) =>
        tasks.map((task) => ({ ...task, grade: idOf.get(task.grade.toLowerCase()) ?? '' })),
      ),
    }));
    await ensureListItems(em, {
      customer: orders.map(({ customer }) => customer),
      division: orders.map(({ division }) => division),
      'job-type': orders.map(({ jobType }) => jobType),
      'work-center': orders.flatMap(({ tasks }) => tasks.map(({ workCenter }) => workCenter)),
    });
    const made = orders.map((order) => newOrderRows(order, rates, drawRandomCode, newId));
    for (const part of inParts(made.map(({ order }) => order))) await em.insertMany(OrderEntity, part);
    for (const part of inParts(made.flatMap(({ tasks }) => tasks))) await em.insertMany(TaskEntity, part);
  },
  write: async (em) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [id, name]));
    const tasks = groupBy(await em.findAll(TaskEntity, { orderBy: { position: 1 } }), ({ order }) => order);
    const orders = await em.findAll(OrderEntity, { orderBy: { number: 1 } });
    return orders.flatMap((order) =>
      (tasks.get(order.id) ?? []).map((task) => [
        order.number,
        order.title,
        order.customer,
        String(order.quantity),
        order.dueDay == null ? '' : formatDay(order.dueDay),
        order.division,
        order.jobType,
        order.price == null ? '' : formatCents(toCents(order.price)),
        task.title,
        task.workCenter,
        grades.get(task.grade) ?? '',
        ...hoursText(task.hours),
      ]),
    );
  },
};

async function loadStored(
  em: Parameters<StoredList<NewOrder>['validateRows']>[0],
  numbers: readonly string[],
): Promise<ReadonlyMap<string, Stored>> {
  const stored = new Map<string, Stored>();
  for (const part of inParts(numbers, 500)) {
    const orders = await em.find(OrderEntity, { number: { $in: part } });
    const tasks = groupBy(
      await em.find(TaskEntity, { order: { $in: orders.map(({ id }) => id) } }, { orderBy: { position: 1 } }),
      ({ order }) => order,
    );
    for (const order of orders) stored.set(order.number, { order, tasks: tasks.get(order.id) ?? [] });
  }
  return stored;
}
