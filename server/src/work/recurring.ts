import type { EntityManager } from '@mikro-orm/libsql';
import { randomUUID } from 'node:crypto';
import { newOrderSchema } from '@wergon/contract/work';
import type { RecurrenceJson } from '@wergon/contract/work';
import { ok } from '@wergon/core/result';
import { dated, formatDay, inForceAt, toDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import {
  chooseSteps,
  isDueSoon,
  isOver,
  lastDone,
  nextDue,
  nextOrderNumber,
  usuallyIncluded,
} from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import { insertOnce, readSql } from '../db/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { UnitEntity } from '../shop/index.ts';
import type { Unit } from '../shop/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { keepChanges, loadGrades } from './changes.ts';
import type { WorkContext } from './editing.ts';
import { loadDueList } from './dueList.ts';
import { OrderEntity, StandardEntity } from './entities.ts';
import type { Standard } from './entities.ts';
import { addOrder } from './orders.ts';
import { findOriginProblems } from './origins.ts';
import { RecurrenceEntity, UnitReadingEntity } from './recurringEntities.ts';

/** Rows of one page. */
const PAGE = 100;
/** Readings that one unit keeps at the most: one a day for some twenty years. */
const MOST_READINGS = 8000;

type Fields = Pick<Call<'saveRecurrence'>['body'], 'unit' | 'job'>;

/** Work on units that comes back: when it comes due, and the order made of it in one press. */
export function mountRecurring(mount: Mount, context: WorkContext): void {
  const { database, clock, setupChanged, shop } = context;

  mount('recurring', async ({ query: { search, unit, skip } }) => {
    const { zone } = await shop.get();
    const now = clock.now();
    const all = await readSql(database, (sql) => loadDueList(sql, zone, now, unit));
    const words = search.trim().toLowerCase();
    const found = all.filter(({ title, unitWords, owner }) =>
      `${title} ${unitWords} ${owner}`.toLowerCase().includes(words),
    );
    const isSoon = (each: RecurrenceJson) =>
      isDueSoon({ ...each, hasOrder: each.order !== null }, zone.dayAt(now));
    return ok({
      recurring: found.slice(skip, skip + PAGE),
      found: found.length,
      total: all.length,
      soon: all.filter(isSoon).length,
    });
  });

  mount('addRecurrence', async ({ body: { once, ...fields } }) => {
    const em = database.em.fork();
    const problems = await findUnknown(em, fields);
    if (problems.length > 0) return refuse('input.invalid', problems);
    const id = once ?? randomUUID();
    const row = { id, ...fields, order: null, madeBy: null };
    return (await insertOnce(em, RecurrenceEntity, row, fields)) ? ok({ id }) : refuse('record.sent_before');
  });

  mount('saveRecurrence', async ({ param, body }) => {
    const em = database.em.fork();
    const problems = await findUnknown(em, body);
    if (problems.length > 0) return refuse('input.invalid', problems);
    const found = await em.nativeUpdate(RecurrenceEntity, { id: param('recurrence') }, body);
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('makeDueOrder', async ({ param, body: { once }, who }) => {
    const { zone, settings } = await shop.get();
    const now = clock.now();
    const made = await database.em.fork().transactional(async (em) => {
      const found = await em.findOne(RecurrenceEntity, { id: param('recurrence') });
      if (!found) return refuse('record.not_found');
      if (once !== undefined && found.madeBy === once && found.order) return ok({ id: found.order });
      if (found.isOff) return refuse('recurring.is_off');
      const before = found.order ? await em.findOne(OrderEntity, { id: found.order }) : null;
      if (before && !isOver(inForceAt(before.states, now))) return refuse('recurring.has_order');
      const lastDay = lastDone(toDay(found.lastDay), before?.states, zone, now);
      const readings = await em.find(UnitReadingEntity, { unit: found.unit });
      const due = nextDue(found, lastDay, readings);
      const unit = await em.findOne(UnitEntity, { id: found.unit });
      const job = await em.findOne(StandardEntity, { id: found.job, kind: 'job' });
      if (!unit || !job?.body.job) return refuse('record.not_found');
      const taken = (await em.find(OrderEntity, {}, { fields: ['number'] })).map(({ number }) => number);
      const number = nextOrderNumber(settings.orderNumbers, taken);
      const includes = usuallyIncluded(settings.work.includesTravel);
      const order = newOrderSchema.parse(await orderOf(em, job, unit, number, due.day, includes));
      const problems = await findOriginProblems(em, order);
      if (problems.length > 0) return refuse('input.invalid', problems);
      const { rates } = await loadGrades(em);
      const id = await addOrder(em, { ...order, states: dated('draft' as const) }, rates, drawRandomCode);
      await keepChanges(em, id, { by: who.user.name, now }, [
        { field: 'Order', before: '', after: 'made as a draft' },
      ]);
      // What the order before has said of when it was done is kept with the work itself.
      const next = { order: id, madeBy: once ?? null, lastDay };
      await em.nativeUpdate(RecurrenceEntity, { id: found.id }, next);
      return ok({ id });
    });
    if (made.ok) setupChanged([made.value.id]);
    return made;
  });

  mount('addReading', async ({ param, body: { day, hours, once } }) => {
    const em = database.em.fork();
    const unit = param('unit');
    if (!(await em.findOne(UnitEntity, { id: unit }))) return refuse('record.not_found');
    const { zone } = await shop.get();
    if (day > zone.dayAt(clock.now()))
      return refuse('input.invalid', [{ field: 'day', message: 'lies in the future' }]);
    if ((await em.count(UnitReadingEntity, { unit })) >= MOST_READINGS)
      return refuse('input.invalid', [{ field: 'hours', message: 'this unit has too many readings' }]);
    const id = once ?? randomUUID();
    const sent = { unit, day, hours };
    return (await insertOnce(em, UnitReadingEntity, { id, ...sent }, sent))
      ? ok({ id })
      : refuse('record.sent_before');
  });

  mount('removeReading', async ({ param }) => {
    const gone = { id: param('reading'), unit: param('unit') };
    const removed = await database.em.fork().nativeDelete(UnitReadingEntity, gone);
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}

async function findUnknown(em: EntityManager, { unit, job }: Fields) {
  return [
    ...((await em.findOne(UnitEntity, { id: unit })) ? [] : [{ field: 'unit', message: 'no such unit' }]),
    ...((await em.findOne(StandardEntity, { id: job, kind: 'job' }))
      ? []
      : [{ field: 'job', message: 'no such standard job' }]),
  ];
}

/** The order of work that comes back: the required steps of its standard, for its unit's owner. */
async function orderOf(
  em: EntityManager,
  job: Standard,
  unit: Unit,
  number: string,
  due: LocalDay | null,
  includes: readonly WorkType[],
) {
  const steps = chooseSteps(job.body.job?.steps ?? [], new Set());
  const tasks = new Map(
    (await em.find(StandardEntity, { id: { $in: steps.map(({ task }) => task) } })).map((each) => [
      each.id,
      each,
    ]),
  );
  return {
    number,
    title: job.title,
    customer: unit.owner || 'Stock',
    quantity: 1,
    due: due === null ? null : formatDay(due),
    unit: unit.id,
    estimateIncludes: includes,
    tasks: steps.flatMap(({ task: id }) => {
      const { body, version } = tasks.get(id) ?? {};
      if (!body?.task) return [];
      const { scope: _for, ...step } = body.task;
      return [{ ...step, origin: { job: job.id, jobVersion: job.version, task: id, taskVersion: version } }];
    }),
  };
}
