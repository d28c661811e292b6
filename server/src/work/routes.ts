import type { ListName } from '@wergon/contract/shop';
import type { ParsedQueryOf } from '@wergon/contract/routes';
import type { OrderRow } from '@wergon/contract/compare';
import { sumComparisons } from '@wergon/core/compare';
import {
  centsOf,
  formatCents,
  formatDecimal,
  formatRate,
  fraction,
  parseDecimal,
  toCents,
} from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { Defect, ok } from '@wergon/core/result';
import { formatDay, formatInstant, inForceAt } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { nextOrderNumber } from '@wergon/core/work';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { readSql } from '../db/sql.ts';
import { loadSeq, loadStates } from '../ledger/strands.ts';
import { GradeEntity } from '../people/entities.ts';
import { CustomerEntity, ListItemEntity, ResourceEntity, UnitEntity } from '../shop/entities.ts';
import type { Unit } from '../shop/entities.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { unapprovedByOrder, unapprovedSeconds } from '../pay/unapproved.ts';
import { settingsOf } from '../shop/settings.ts';
import { mountAttachments } from './attachments.ts';
import { mountEditing } from './editing.ts';
import { AttachmentEntity, OrderChangeEntity } from './entities.ts';
import type { Task, WorkOrder } from './entities.ts';
import { mountStory } from './story.ts';
import { mountStandards } from './standards.ts';
import { costsFor, loadLabor, peopleOnOrder, usedOf, writeComparison, writeLine } from './standing.ts';
import type { Costs, SignedOut, TaskWithLabor } from './standing.ts';
import { mountTravelers } from './travelers.ts';

/** The latest changes of an order that are told with it. */
const MOST_CHANGES = 40;

export const unitWords = ({ type, maker, serialNumber }: Unit): string =>
  [type, maker, serialNumber].filter(Boolean).join(', ');

function orderRow(
  order: WorkOrder,
  tasks: readonly TaskWithLabor[],
  costs: Costs,
  now: Instant,
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
    due: order.dueDay === null ? null : formatDay(order.dueDay as LocalDay),
    state: inForceAt(order.states, now),
    division: order.division,
    jobType: order.jobType,
    unit: order.unit ?? null,
    unitWords: unit ? unitWords(unit) : '',
    taskCount: accepted.length,
    finishedTaskCount: accepted.filter(({ isFinished }) => isFinished).length,
    comparison: writeComparison(sumComparisons(tasks.map(({ comparison }) => comparison)), costs),
    used: { ...usedOf(tasks, order) },
    hasEstimate: accepted.some(({ task }) => task.hasEstimate),
    isFinished: accepted.length > 0 && accepted.every(({ isFinished }) => isFinished),
    peopleOn: [...new Set(tasks.flatMap(({ peopleOn }) => peopleOn))],
    signedOut: tasks.flatMap(({ signedOut }) => signedOut.map(writeSignedOut)),
  };
}

const writeSignedOut = ({ name, at, seconds }: SignedOut) => ({ name, at: formatInstant(at), seconds });

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
function writeTask(facts: ShopFacts, task: Task) {
  const first = task.estimate[0]?.value ?? 0;
  return {
    id: task.id,
    position: task.position,
    title: task.title,
    workCenter: task.workCenter,
    code: task.code,
    grade: task.grade,
    ...(task.hours ?? (task.hasEstimate ? { runHours: hoursText(task.estimate.at(-1)?.value ?? 0) } : {})),
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
      name: kind === 'crew' ? id : (facts.technicians.get(id as TechnicianId)?.name ?? id),
    })),
    origin: task.origin ?? null,
    originalSeconds: first,
    originalCost: formatCents(toCents(task.originalCost ?? task.estimatedCost)),
  };
}

/** Seconds as hours for a field: to a hundredth, because tasks of old data keep no more than their seconds. */
const hoursText = (seconds: number) => formatDecimal(fraction(BigInt(Math.round(seconds / 36)), 100n));

export function mountWork(mount: Mount, context: Context): void {
  const { database, clock, facts } = context;
  mountEditing(mount, context);
  mountAttachments(mount, context);
  mountStandards(mount, context);
  mountTravelers(mount, context);

  const loadUnits = async () =>
    new Map((await database.em.fork().findAll(UnitEntity)).map((unit) => [unit.id, unit]));

  /** All that goes with an order beside its labor. */
  const loadPapers = async (order: WorkOrder, estimatedCost: string) => {
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
    const known = await facts.get();
    const onIt = await readSql(database, (sql) => peopleOnOrder(known, loadStates(sql), order.id));
    const parsed = parseDecimal(estimatedCost);
    if (!parsed.ok) throw new Defect('an estimated cost that is no amount');
    const cost = centsOf(parsed.value);
    return {
      code: order.code,
      includes: order.includes,
      version: order.version,
      item: order.item,
      price: order.price == null ? null : formatCents(toCents(order.price)),
      margin: order.price == null ? null : formatCents(toCents(order.price - cost)),
      notes: order.notes,
      charge: order.charge ?? null,
      peopleOnIds: onIt.map(({ technician }) => technician),
      attachments: attachments.map(({ id, name, type, size, addedAt, addedBy }) => ({
        id,
        name,
        type,
        size,
        addedAt: formatInstant(addedAt as Instant),
        addedBy,
      })),
      changes: changes.map(({ at, by, changes: fields }) => ({
        at: formatInstant(at as Instant),
        by,
        changes: fields,
      })),
    };
  };

  mount('preparation', async () => {
    const { shop, orders, technicians } = await facts.get();
    const em = database.em.fork();
    const items = await em.find(ListItemEntity, { isOff: false }, { orderBy: { name: 1 } });
    const listed = (list: ListName) => items.filter((item) => item.list === list).map(({ name }) => name);
    const grades = await em.findAll(GradeEntity, { orderBy: { name: 1 } });
    const centers = await em.find(
      ResourceEntity,
      { kind: 'work-center', isOff: false },
      { orderBy: { name: 1 } },
    );
    const customers = await em.find(CustomerEntity, { isOff: false }, { orderBy: { name: 1 } });
    const units = await em.findAll(UnitEntity, { orderBy: { owner: 1, type: 1 } });
    return ok({
      nextNumber: nextOrderNumber(
        settingsOf(shop).orderNumbers,
        [...orders.values()].map(({ number }) => number),
      ),
      grades: grades.map(({ id, name, standardRate }) => ({
        id,
        name,
        standardRate: formatRate(standardRate as Rate),
      })),
      workCenters: centers.map(({ name }) => name),
      customers: customers.map(({ name }) => name),
      divisions: listed('division'),
      jobTypes: listed('job-type'),
      costCodes: listed('cost-code'),
      crews: listed('crew'),
      units: units.map((unit) => ({
        id: unit.id,
        type: unit.type,
        words: unitWords(unit),
        owner: unit.owner,
      })),
      technicians: [...technicians.values()]
        .filter(({ leftOn }) => leftOn == null)
        .map(({ id, name, crew }) => ({ id, name, crew })),
    });
  });

  /** Rows of some orders, each with what its tasks come to. */
  const loadRows = async (known: ShopFacts, orders: readonly WorkOrder[], costs: Costs) => {
    const units = await loadUnits();
    const now = clock.now();
    const tasks = orders.flatMap(({ id }) => known.tasksByOrder.get(id) ?? []);
    const { labor, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, tasks, now, costs),
      seq: loadSeq(sql),
    }));
    const byOrder = new Map<string, TaskWithLabor[]>();
    for (const each of labor) {
      const own = byOrder.get(each.task.order);
      if (own) own.push(each);
      else byOrder.set(each.task.order, [each]);
    }
    const rows = orders.map((order) => orderRow(order, byOrder.get(order.id) ?? [], costs, now, units));
    return { asOf: formatInstant(now), seq, orders: rows };
  };

  mount('work', async ({ who }) => {
    const known = await facts.get();
    const open = [...known.openOrders].flatMap((id) => known.orders.get(id) ?? []);
    return ok({
      ...(await loadRows(known, open, costsFor(who))),
      pastCount: known.orders.size - open.length,
    });
  });

  mount('pastWork', async ({ query, who }) => {
    const known = await facts.get();
    const found = findPast(known, query);
    const page = found.slice(query.skip, query.skip + PAGE);
    return ok({ ...(await loadRows(known, page, costsFor(who))), total: found.length });
  });

  mount('unapprovedWork', async () => {
    const known = await facts.get();
    const { since, orders } = await readSql(database, (sql) => unapprovedByOrder(sql, known, clock.now()));
    return ok({
      since: formatDay(since),
      orders: [...orders].map(([order, seconds]) => ({ order, seconds })),
    });
  });

  mountStory(mount, context);

  mount('order', async ({ param, who }) => {
    const known = await facts.get();
    const order = known.orders.get(param('order'));
    if (!order) return refuse('record.not_found');
    const now = clock.now();
    const own = known.tasksByOrder.get(order.id) ?? [];
    const costs = costsFor(who);
    const { labor, seq, unapproved } = await readSql(database, (sql) => {
      const found = loadLabor(sql, known, own, now, costs);
      const lines = found.flatMap((each) => each.lines);
      return { labor: found, seq: loadSeq(sql), unapproved: unapprovedSeconds(sql, known, lines, now) };
    });
    const row = orderRow(order, labor, costs, now, await loadUnits());
    return ok({
      asOf: formatInstant(now),
      seq,
      order: {
        ...row,
        ...(await loadPapers(order, row.comparison.estimatedCost)),
        unapprovedSeconds: unapproved,
      },
      tasks: labor.map(({ task, lines, comparison, isFinished, peopleOn, signedOut }) => ({
        ...writeTask(known, task),
        comparison: writeComparison(comparison, costs),
        used: { ...usedOf([{ lines }], order) },
        hasEstimate: task.hasEstimate,
        isFinished,
        peopleOn: [...peopleOn],
        signedOut: signedOut.map(writeSignedOut),
        lines: [...lines]
          .sort((a, b) => a.day - b.day || (a.technician < b.technician ? -1 : 1))
          .map((line) => writeLine(known, line, costs)),
      })),
    });
  });
}
