import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import type { NewOrder } from '@wergon/contract/work';
import type { Rate } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { dated, formatInstant, inForceAt } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { checkMove, estimateCost, findChanges } from '@wergon/core/work';
import type { FieldChange, OrderState } from '@wergon/core/work';
import type { Who } from '../access/identify.ts';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { PROBLEMS, refuse } from '../app/problem.ts';
import type { RouteRefusal } from '../app/problem.ts';
import { readSql } from '../db/sql.ts';
import { readBatch } from '../ledger/readBatch.ts';
import { loadStates } from '../ledger/strands.ts';
import { GradeEntity } from '../people/entities.ts';
import { UnitEntity } from '../shop/entities.ts';
import { drawRandomCode } from '../station/drawCode.ts';
import { OrderChangeEntity, OrderEntity, TaskEntity } from './entities.ts';
import type { Task, WorkOrder } from './entities.ts';
import { addOrder, orderInWords, saveOrder } from './orders.ts';
import type { GradeRates } from './orders.ts';
import { hasLabor, peopleOnOrder } from './standing.ts';

/** Routes that make and change orders. */
export function mountEditing(mount: Mount, context: Context): void {
  const { database, clock, facts, live, journal } = context;
  const changed = (...orders: readonly string[]) => {
    facts.forget(orders);
    live.publishSetup();
  };
  const nameOf = (who: Who) => (who.kind === 'desk' ? who.user.name : '');
  const loadTasks = (em: EntityManager, order: string) =>
    em.find(TaskEntity, { order }, { orderBy: { position: 1 } });
  /** Asked with the manager at hand: there is one connection, and a transaction holds it. */
  const loadGrades = async (em: EntityManager) => {
    const grades = await em.findAll(GradeEntity);
    return {
      rates: new Map(grades.map(({ id, standardRate }) => [id, standardRate as Rate])) as GradeRates,
      nameOf: (id: string) => grades.find((grade) => grade.id === id)?.name ?? id,
    };
  };
  const keepChanges = async (em: EntityManager, order: string, by: string, changes: FieldChange[]) => {
    if (changes.length > 0) await em.insert(OrderChangeEntity, { order, at: clock.now(), by, changes });
  };
  const inWords = async (em: EntityManager, order: WorkOrder) => {
    const { nameOf: grade } = await loadGrades(em);
    const units = new Map(
      (await em.findAll(UnitEntity)).map((unit) => [unit.id, `${unit.type} ${unit.serialNumber}`]),
    );
    return orderInWords(order, await loadTasks(em, order.id), { grade, unit: (id) => units.get(id) ?? id });
  };

  /** What of an order names something that does not exist, or a number that another order has. */
  const findProblem = async (order: NewOrder, own?: string): Promise<RouteRefusal | undefined> => {
    const em = database.em.fork();
    const other = await em.findOne(OrderEntity, { number: order.number });
    if (other && other.id !== own)
      return refuse('record.taken', [{ field: 'number', message: 'there is an order of this number' }]);
    const { rates } = await loadGrades(em);
    const errors = order.tasks.flatMap(({ grade }, i) =>
      rates.has(grade) ? [] : [{ field: `tasks[${i}].grade`, message: 'no such grade' }],
    );
    if (order.unit !== null && !(await em.findOne(UnitEntity, { id: order.unit })))
      errors.push({ field: 'unit', message: 'no such unit' });
    return errors.length > 0 ? refuse('input.invalid', errors) : undefined;
  };

  mount('addOrder', async ({ body, who }) => {
    const problem = await findProblem(body);
    if (problem) return problem;
    const { rates } = await loadGrades(database.em.fork());
    const id = await database.em.fork().transactional(async (em) => {
      const made = await addOrder(em, { ...body, states: dated('draft' as const) }, rates, drawRandomCode);
      await keepChanges(em, made, nameOf(who), [{ field: 'Order', before: '', after: 'made as a draft' }]);
      return made;
    });
    changed(id);
    return ok({ id });
  });

  mount('saveOrder', async ({ param, body: { version, ...order }, who }) => {
    const id = param('order');
    const before = await database.em.fork().findOne(OrderEntity, { id });
    if (!before) return refuse('record.not_found');
    if (before.version !== version) return refuse('record.changed');
    const problem = await findProblem(order, id);
    if (problem) return problem;
    const tasks = await loadTasks(database.em.fork(), id);
    const kept = new Set(order.tasks.map((task) => task.id));
    const foreign = order.tasks.findIndex(
      (task) => task.id !== null && !tasks.some((own) => own.id === task.id),
    );
    if (foreign >= 0)
      return refuse('input.invalid', [{ field: `tasks[${foreign}].id`, message: 'no such task here' }]);
    const worked = await findWorked(tasks.filter((task) => !kept.has(task.id)));
    if (worked)
      return refuse('order.task_has_labor', [
        { field: 'tasks', message: `${worked.title} has labor: close it instead of deleting it` },
      ]);
    const { rates } = await loadGrades(database.em.fork());
    const isSaved = await database.em.fork().transactional(async (em) => {
      // Asked again inside the transaction: two who save at once must not both go through.
      const now = await em.findOne(OrderEntity, { id, version });
      if (!now) return false;
      const wordsBefore = await inWords(em, now);
      await saveOrder(em, now, tasks, order, rates, clock.now(), drawRandomCode);
      em.clear();
      const after = await em.findOneOrFail(OrderEntity, { id });
      await keepChanges(em, id, nameOf(who), findChanges(wordsBefore, await inWords(em, after)));
      return true;
    });
    changed(id);
    return isSaved ? ok(null) : refuse('record.changed');
  });

  const findWorked = async (tasks: readonly Task[]): Promise<Task | undefined> =>
    tasks.length === 0 ? undefined : readSql(database, (sql) => tasks.find(({ id }) => hasLabor(sql, id)));

  /** Moves an order to another state, if it can go there. */
  const move = async (
    id: string,
    to: OrderState,
    by: string,
    accepted?: readonly string[],
  ): Promise<RouteRefusal | undefined> => {
    // Read inside the transaction that writes: of two who move an order at once, the second moves it from where the
    // first has put it, or is refused.
    return database.em.fork().transactional(async (em) => {
      const order = await em.findOne(OrderEntity, { id });
      if (!order) return refuse('record.not_found');
      const tasks = await loadTasks(em, id);
      const isTaken = (task: Task) =>
        !task.isOptional || accepted === undefined || accepted.includes(task.id);
      const state = inForceAt(order.states, clock.now());
      const isAccepting = accepted !== undefined && state === 'draft';
      const taskCount = tasks.filter((task) => (isAccepting ? isTaken(task) : task.isAccepted)).length;
      const checked = checkMove({ state, taskCount }, to);
      if (!checked.ok) return refuse(checked.code);
      const changes: FieldChange[] = [{ field: 'State', before: state, after: to }];
      const states = [...order.states, { from: clock.now(), value: to }];
      await em.nativeUpdate(OrderEntity, { id }, { states });
      for (const task of isAccepting ? tasks : []) {
        if (task.isAccepted === isTaken(task)) continue;
        await em.nativeUpdate(TaskEntity, { id: task.id }, { isAccepted: isTaken(task) });
        changes.push({ field: task.title, before: '', after: isTaken(task) ? 'accepted' : 'not accepted' });
      }
      if (changes.length > 1) await em.nativeUpdate(OrderEntity, { id }, { version: order.version + 1 });
      await keepChanges(em, id, by, changes);
      return undefined;
    });
  };

  mount('changeOrderState', async ({ param, body, who }) => {
    const id = param('order');
    const problem = await move(id, body.state, nameOf(who), body.accepted);
    if (problem) return problem;
    changed(id);
    if (body.stopsPeople && who.kind === 'desk') {
      const known = await facts.get();
      const onIt = await readSql(database, (sql) => peopleOnOrder(known, loadStates(sql), id));
      if (onIt.length > 0)
        await journal.appendAll(
          { kind: 'desk', id: who.user.id },
          readBatch(
            writeEntries(
              onIt.map((each) => ({ type: 'work-stop', ...each })),
              clock.now(),
            ),
          ),
        );
    }
    return ok(null);
  });

  mount('releaseOrders', async ({ body, who }) => {
    const released: string[] = [];
    const refused: { number: string; reason: string }[] = [];
    const { orders } = await facts.get();
    for (const id of new Set(body.orders)) {
      const problem = await move(id, 'released', nameOf(who));
      if (problem) refused.push({ number: orders.get(id)?.number ?? id, reason: PROBLEMS[problem.code][1] });
      else released.push(id);
    }
    changed(...released);
    return ok({ released, refused });
  });

  mount('finishTask', async ({ param, body, who }) => {
    const task = await database.em.fork().findOne(TaskEntity, { id: param('task'), order: param('order') });
    if (!task || who.kind !== 'desk') return refuse('record.not_found');
    const type = body.isFinished ? 'task-done' : 'task-reopen';
    await journal.appendAll(
      { kind: 'desk', id: who.user.id },
      readBatch(writeEntries([{ type, targets: [task.id] }], clock.now())),
    );
    return ok(null);
  });

  mount('duplicateOrder', async ({ param, body, who }) => {
    const em = database.em.fork();
    const order = await em.findOne(OrderEntity, { id: param('order') });
    if (!order) return refuse('record.not_found');
    if (await em.findOne(OrderEntity, { number: body.number }))
      return refuse('record.taken', [{ field: 'number', message: 'there is an order of this number' }]);
    const id = await em.transactional((inner) => duplicate(inner, order, body.number, nameOf(who)));
    changed(id);
    return ok({ id });
  });

  async function duplicate(em: EntityManager, order: WorkOrder, number: string, by: string): Promise<string> {
    const id = randomUUID();
    const { rates } = await loadGrades(em);
    await em.insert(OrderEntity, {
      ...copyOf(order),
      id,
      number,
      dueDay: null,
      states: dated('draft' as const),
      code: drawRandomCode('order'),
      version: 1,
    });
    for (const task of await loadTasks(em, order.id)) {
      const seconds = inForceAt(task.estimate, clock.now());
      const standardRate = rates.get(task.grade) ?? (task.standardRate as Rate);
      await em.insert(TaskEntity, {
        ...copyOf(task),
        id: randomUUID(),
        order: id,
        code: drawRandomCode('task'),
        estimate: dated(seconds),
        standardRate,
        estimatedCost: estimateCost(seconds, standardRate),
        originalCost: null,
        isAccepted: true,
      });
    }
    await keepChanges(em, id, by, [
      { field: 'Order', before: '', after: `made as a copy of ${order.number}` },
    ]);
    return id;
  }
}

/** A record's own columns, without what the mapper hangs on it. */
const copyOf = <T extends object>(record: T): T => ({ ...record });

/** Entries made at the desk, as a batch that the journal reads. */
const writeEntries = (entries: readonly object[], now: Instant): unknown[] =>
  entries.map((entry) => {
    const id = randomUUID();
    return {
      source: 'desk',
      via: [],
      action: id,
      deviceAt: formatInstant(now),
      clockOffset: 0,
      entry: { id, at: formatInstant(now), ...entry },
    };
  });
