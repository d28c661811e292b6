import { marginOf } from '@wergon/core/work';
import type { Cents } from '@wergon/core/money';
import type { ParsedQueryOf } from '@wergon/contract/routes';
import type { OrderJson, OrderRow } from '@wergon/contract/compare';
import { orderPieces, sumComparisons } from '@wergon/core/compare';
import { joinLines } from '@wergon/core/ledger';
import { formatCents, toCents, formatDecimalHours } from '@wergon/core/money';
import { findIn, groupBy, ok } from '@wergon/core/result';
import { inForceAt, toSeconds } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import { loadNotesOf, loadSeq, loadSetCostsOn, loadStates, peopleOnOrder } from '../ledger/index.ts';
import type { KeptNote } from '../ledger/index.ts';
import { UnitEntity, unitWords } from '../shop/index.ts';
import type { Unit } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { AttachmentEntity, OrderChangeEntity, firstEstimateOf } from '../work/index.ts';
import type { Task, WorkOrder } from '../work/index.ts';
import { mountSetCosts, writeSet } from './setCosts.ts';
import { mountStory } from './story.ts';
import { mountComparedCauses } from './periods/causes.ts';
import { mountComparedJobs } from './periods/jobList.ts';
import { mountCut } from './periods/cut.ts';
import { mountMachines } from './periods/machines.ts';
import { mountNear } from './periods/near.ts';
import { mountComparedWeek } from './periods/week.ts';
import { mountKeptCuts } from './periods/keptCuts.ts';
import { mountComparedPeople } from './periods/people.ts';
import { mountReport } from './report.ts';
import { mountWhy } from './why.ts';
import { mountUnit } from './unit.ts';
import { costsFor, loadLabor, usedOf, warnAtOf, writeComparison, writeLine } from './taskLabor.ts';
import type { Costs, SignedOut, TaskWithLabor } from './taskLabor.ts';

/** The latest changes of an order that are told with it. */
const MOST_CHANGES = 40;

function orderRow(
  order: WorkOrder,
  tasks: readonly TaskWithLabor[],
  costs: Costs,
  now: Instant,
  warnAt: number,
  units: ReadonlyMap<string, Unit>,
): OrderRow {
  const unit = order.unit == null ? undefined : units.get(order.unit);
  const accepted = tasks.filter(({ task }) => task.isAccepted);
  return {
    id: order.id,
    number: order.number,
    title: order.title,
    customer: order.customer,
    quantity: order.quantity,
    due: order.dueDay ?? null,
    state: inForceAt(order.states, now),
    division: order.division,
    jobType: order.jobType,
    unit: order.unit ?? null,
    unitWords: unit ? unitWords(unit) : '',
    taskCount: accepted.length,
    finishedTaskCount: accepted.filter(({ isFinished }) => isFinished).length,
    comparison: writeComparison(sumComparisons(tasks.map(({ comparison }) => comparison)), costs, warnAt),
    used: { ...usedOf(tasks, order) },
    hasEstimate: accepted.some(({ task }) => task.hasEstimate),
    isFinished: accepted.length > 0 && accepted.every(({ isFinished }) => isFinished),
    peopleOn: [...new Set(tasks.flatMap(({ peopleOn }) => peopleOn))],
    signedOut: tasks.flatMap(({ signedOut }) => signedOut.map(writeSignedOut)),
    pieces: orderPieces(
      [...accepted]
        .sort((a, b) => a.task.position - b.task.position)
        .map(({ task, pieces }) => ({ title: task.title, pieces })),
    ),
  };
}

const writeSignedOut = ({ name, at, seconds }: SignedOut) => ({ name, at, seconds });

/** Orders that one page of past work shows. */
const PAGE = 50;

/** Orders whose work is behind them, the last ones first: of one unit, in one state, or that match some words. */
function findPast(
  { orders, openOrders }: ShopFacts,
  { state, unit, search }: ParsedQueryOf<'pastWork'>,
): readonly WorkOrder[] {
  const words = search.trim().toLowerCase();
  const since = ({ states }: WorkOrder) => states.at(-1)?.from ?? 0;
  return [...orders.values()]
    .filter(
      (order) =>
        !openOrders.has(order.id) &&
        (state === undefined || order.states.at(-1)?.value === state) &&
        (unit === undefined || order.unit === unit) &&
        `${order.number} ${order.title} ${order.customer}`.toLowerCase().includes(words),
    )
    .sort((a, b) => since(b) - since(a) || (a.number < b.number ? 1 : -1));
}

/** A task as it was written, apart from its labor. */
function writeTask(assignable: ShopFacts['technicians'], task: Task) {
  const first = firstEstimateOf(task);
  return {
    id: task.id,
    position: task.position,
    title: task.title,
    workCenter: task.workCenter,
    code: task.code,
    grade: task.grade,
    ...(task.hours ??
      (task.hasEstimate
        ? { runHours: formatDecimalHours(task.estimate.at(-1)?.value ?? toSeconds(0)) }
        : {})),
    description: task.description,
    instructions: task.instructions ?? [],
    reports: task.reports ?? [],
    price: task.price == null ? null : formatCents(toCents(task.price)),
    isOptional: task.isOptional,
    isAccepted: task.isAccepted,
    costCode: task.costCode,
    charge: task.charge ?? null,
    assigned: (task.assigned ?? []).map(({ kind, id }) => ({
      kind,
      id,
      // Who is to do a task belongs to the task, whoever looks at it.
      name: kind === 'crew' ? id : (findIn(assignable, id)?.name ?? id),
    })),
    origin: task.origin ?? null,
    originalSeconds: first.estimatedSeconds,
    originalCost: formatCents(first.estimatedCost),
  };
}

const isHidden = ({ hidden }: ShopFacts, { technician }: KeptNote['entry']): boolean =>
  technician !== undefined && hidden?.has(technician) === true;

const writeNote = (
  facts: ShopFacts,
  { entry, isForCustomer }: KeptNote,
): OrderJson['tasks'][number]['notes'][number] => ({
  id: entry.id,
  day: facts.zone.dayAt(entry.at),
  technician: isHidden(facts, entry) ? null : (entry.technician ?? null),
  who: isHidden(facts, entry) ? null : (findIn(facts.technicians, entry.technician ?? '')?.name ?? ''),
  text: entry.text,
  isForCustomer,
});

/** Routes of orders with what was worked on them, actual against estimate. */
export function mountCompare(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts } = context;

  const loadUnits = async () =>
    new Map((await database.em.fork().findAll(UnitEntity)).map((unit) => [unit.id, unit]));

  /** All that goes with an order beside its labor. */
  const loadPapers = async (known: ShopFacts, order: WorkOrder, estimatedCost: Cents) => {
    const em = database.em.fork();

    const attachments = await em.find(
      AttachmentEntity,
      { order: order.id },
      { orderBy: { addedAt: 1 }, exclude: ['bytes'] },
    );
    const changes = await em.find(
      OrderChangeEntity,
      { order: order.id },
      { orderBy: { id: -1 }, limit: MOST_CHANGES },
    );
    const onIt = await readSql(database, (sql) => peopleOnOrder(known, loadStates(sql), order.id));
    const margin = marginOf(order.price ?? null, estimatedCost);
    return {
      code: order.code,
      includes: order.includes,
      version: order.version,
      item: order.item,
      price: order.price == null ? null : formatCents(toCents(order.price)),
      margin: margin === null ? null : formatCents(margin),
      notes: order.notes,
      parts: order.parts ?? [],
      charge: order.charge ?? null,
      peopleOnIds: onIt.flatMap(({ technician }) => (known.hidden?.has(technician) ? [] : technician)),
      attachments: attachments.map(({ id, name, type, size, addedAt, addedBy }) => ({
        id,
        name,
        type,
        size,
        addedAt,
        addedBy,
      })),
      changes: changes.map(({ at, by, changes: fields }) => ({
        at,
        by,
        changes: fields,
      })),
    };
  };

  /** Rows of some orders, each with what its tasks come to. */
  const loadRows = async (known: ShopFacts, orders: readonly WorkOrder[], costs: Costs) => {
    const units = await loadUnits();
    const now = clock.now();
    const tasks = orders.flatMap(({ id }) => known.tasksByOrder.get(id) ?? []);
    const { labor, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, tasks, now, costs),
      seq: loadSeq(sql),
    }));
    const byOrder = groupBy(labor, ({ task }) => task.order);
    const rows = orders.map((order) =>
      orderRow(order, byOrder.get(order.id) ?? [], costs, now, warnAtOf(known, now), units),
    );
    return { asOf: now, seq, orders: rows };
  };

  mount('work', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const open = [...known.openOrders].flatMap((id) => known.orders.get(id) ?? []);
    return ok({
      ...(await loadRows(known, open, costsFor(who))),
      pastCount: known.orders.size - open.length,
    });
  });

  mount('pastWork', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const found = findPast(known, query);
    const page = found.slice(query.skip, query.skip + PAGE);
    return ok({ ...(await loadRows(known, page, costsFor(who))), total: found.length });
  });

  mountUnit(mount, context, loadRows);
  mountStory(mount, context);
  mountSetCosts(mount, context);
  mountWhy(mount, context);
  mountReport(mount, context);
  mountComparedJobs(mount, context);
  mountComparedCauses(mount, context);
  mountComparedPeople(mount, context);
  mountCut(mount, context);
  mountNear(mount, context);
  mountComparedWeek(mount, context);
  mountMachines(mount, context);
  mountKeptCuts(mount, context);

  mount('order', async ({ param, who }) => {
    const known = await facts.seenBy(who.user);
    const all = await facts.get();
    const order = known.orders.get(param('order'));
    if (!order) return refuse('record.not_found');
    const now = clock.now();
    const own = known.tasksByOrder.get(order.id) ?? [];
    const costs = costsFor(who);
    const { labor, notes, setCosts, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, own, now, costs),
      // What a person's labor was set to is for nobody who may not see rates.
      setCosts:
        costs === 'actual'
          ? loadSetCostsOn(
              sql,
              own.map(({ id }) => id),
            )
          : [],
      notes: loadNotesOf(
        sql,
        own.map(({ id }) => id),
      ),
      seq: loadSeq(sql),
    }));
    const warnAt = warnAtOf(known, now);
    const row = orderRow(order, labor, costs, now, warnAt, await loadUnits());
    const sum = sumComparisons(labor.map(({ comparison }) => comparison));
    return ok({
      asOf: now,
      seq,
      order: { ...row, ...(await loadPapers(known, order, sum.estimatedCost)) },
      tasks: labor.map(({ task, lines, comparison, isFinished, peopleOn, signedOut, pieces }) => ({
        ...writeTask(all.technicians, task),
        comparison: writeComparison(comparison, costs, warnAt),
        used: { ...usedOf([{ lines }], order) },
        hasEstimate: task.hasEstimate,
        isFinished,
        peopleOn: [...peopleOn],
        signedOut: signedOut.map(writeSignedOut),
        pieces,
        notes: notes
          .filter(({ entry }) => entry.targets?.[0] === task.id)
          .map((each) => writeNote(known, each)),
        lines: joinLines(lines, (id) => known.hidden?.has(id) === true)
          .sort((a, b) => a.day - b.day || ((a.technician ?? '') < (b.technician ?? '') ? -1 : 1))
          .map((line) => writeLine(known, line, costs, writeSet(known, line, setCosts))),
      })),
    });
  });
}
