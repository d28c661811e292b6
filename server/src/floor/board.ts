import { groupBy } from '@wergon/core/result';
import type { WorkOrderId } from '@wergon/core/work';
import type { Asked, SaidOfStart } from '../ledger/index.ts';
import type { DeepReadonly } from '@wergon/contract/wire';
import type { Changes } from '../http/index.ts';
import { expectedSpan, plannedSpan } from '@wergon/core/people';
import type { BoardChanges, BoardJson, FloorChanges, FloorJson } from '@wergon/contract/floor';
import { AT_REST } from '@wergon/core/ledger';
import type { LaborState, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { inForceAt, sumSeconds, addDays, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import {
  findState,
  loadChargedOn,
  loadFinished,
  loadHours,
  loadPieces,
  loadPresence,
  loadSaid,
  loadSeq,
  loadStages,
  loadStates,
  loadStints,
  loadUsedOf,
  longestStint,
} from '../ledger/index.ts';
import type { Plans, Technician } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Task, WorkOrder } from '../work/index.ts';

/** So long a finished order stays on the floor's mind, in seconds: whoever scans its label is told that it is finished. */
const REMEMBERED_SECONDS = 14 * 86_400;

/** Orders that are on the floor's mind: those that are open, and those that were finished lately. */
function ordersOnBoard({ orders, openOrders }: ShopFacts, now: Instant): WorkOrder[] {
  return [...orders.values()].filter(({ id, states }) => {
    if (openOrders.has(id)) return true;
    const last = states.at(-1);
    return last?.value === 'finished' && last.from > now - REMEMBERED_SECONDS;
  });
}

/** A part of the board: these people, these tasks and what they are on. */
export type BoardPart = Pick<Changes, 'technicians' | 'targets'>;

/** Who is on what as of the last entry, with the tasks of all orders that are not closed, and others asked for. */
export function loadBoard(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  alsoTargets: readonly TargetId[] = [],
): BoardJson {
  const orders = ordersOnBoard(facts, now);
  const states = loadStates(sql);
  const also = new Set([...alsoTargets, ...[...states.values()].flatMap(targetsOfState)]);
  const ofOrders = orders
    .flatMap(({ id }) => facts.tasksByOrder.get(id) ?? [])
    .filter(({ id, isAccepted }) => isAccepted || also.has(id));
  const onBoard = new Set(orders.map(({ id }) => id));
  // Somebody may still be on a task of a closed order: what runs is always on the board.
  const others = [...also]
    .flatMap((id) => facts.tasks.get(id) ?? [])
    .filter(({ order }) => !onBoard.has(order));
  const people = [...facts.technicians.values()];
  return {
    ...writeBoard(sql, facts, now, people, states, [...ofOrders, ...others], onBoard),
    zone: facts.zone.name,
    policy: facts.policy,
    activities: [...facts.activities.values()].map(({ id, title, isOff }) => {
      const known = facts.targets.get(id);
      return { id, title, isOff: isOff ?? false, counts: known?.kind === 'activity' ? known.counts : [] };
    }),
  };
}

/** The same of a part of it. */
export function loadBoardPart(sql: Sql, facts: ShopFacts, now: Instant, part: BoardPart): BoardChanges {
  const people = [...part.technicians].flatMap((id) => facts.technicians.get(id) ?? []);
  const states = new Map(people.map(({ id }) => [id, findState(sql, id) ?? AT_REST]));
  const targets = new Set([...part.targets, ...[...states.values()].flatMap(targetsOfState)]);
  const tasks = [...targets].flatMap((id) => facts.tasks.get(id) ?? []);
  return writeBoard(sql, facts, now, people, states, tasks);
}

function writeBoard(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  people: readonly Technician[],
  states: ReadonlyMap<TechnicianId, LaborState>,
  tasks: readonly Task[],
  orders: ReadonlySet<WorkOrderId> = new Set(),
): BoardChanges {
  const today = facts.zone.dayAt(now);
  const ids = tasks.map(({ id }) => id);
  const used = loadUsedOf(sql, ids);
  const finished = loadFinished(sql, ids);
  const charged = loadChargedOn(
    sql,
    today,
    people.map(({ id }) => id),
  );
  return {
    asOf: now,
    seq: loadSeq(sql),
    technicians: people.map(({ id, name, department, leftOn }) => ({
      id,
      name,
      department,
      hasLeft: leftOn != null && leftOn < today,
      state: states.get(id) ?? AT_REST,
      charged: { day: today, seconds: charged.get(id) ?? toSeconds(0) },
    })),
    orders: [...new Set([...orders, ...tasks.map(({ order }) => order)])]
      .flatMap((id) => facts.orders.get(id) ?? [])
      .map(({ id, number, title, customer, states: orderStates, includes }) => ({
        id,
        number,
        title,
        customer,
        state: inForceAt(orderStates, now),
        includes,
      })),
    tasks: tasks.map(({ id, title, order, hasEstimate, estimate }) => ({
      id,
      title,
      order,
      hasEstimate,
      estimate,
      used: used.get(id) ?? {},
      isFinished: finished.has(id),
    })),
  };
}

const targetsOfState = ({ doing }: LaborState): TargetId[] => {
  const list = doing.status === 'work' ? doing.running : doing.status === 'break' ? doing.suspended : [];
  return list.map(({ target }) => target);
};

/** What belongs to each technician, looked up by their id. */
function byTechnician<T extends { readonly technician: TechnicianId }>(items: readonly T[]) {
  const own = groupBy(items, ({ technician }): string => technician);
  return (id: string): readonly T[] => own.get(id) ?? [];
}

/** The stretches that people have settled on one local day. */
function writeLanes(
  sql: Sql,
  facts: ShopFacts,
  day: LocalDay,
  people: readonly TechnicianId[],
  asked: Omit<Asked, 'from' | 'to'>,
): { readonly lanes: FloorJson['lanes']; readonly targets: readonly TargetId[] } {
  const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
  const presently = loadPresently(sql, people);
  const stages = loadStages(sql, facts, people);
  const stints = loadStints(sql, { ...span, ...asked });
  const [stintsOf, shiftsOf, breaksOf, hoursOf] = [
    byTechnician(stints),
    byTechnician(loadPresence(sql, 'shift', { ...span, ...asked })),
    byTechnician(loadPresence(sql, 'break', { ...span, ...asked })),
    byTechnician(loadHours(sql, day, day)),
  ];
  return {
    targets: stints.flatMap(({ running }) => running.map(({ target }) => target)),
    lanes: people.map((id) => ({
      technician: id,
      stints: stintsOf(id).map(({ from, to, running, capped }) => ({
        from,
        to,
        running,
        ...(capped ? { capped: true } : {}),
      })),
      shifts: shiftsOf(id),
      breaks: breaksOf(id),
      enteredSeconds: sumSeconds(hoursOf(id)),
      ...(presently.get(id) ?? NOTHING_SAID),
      stages: stages.get(id) ?? [],
    })),
  };
}

/** The machine that somebody is on and the reason that they gave, where they gave any. */
function loadPresently(sql: Sql, people: readonly TechnicianId[]): ReadonlyMap<TechnicianId, SaidOfStart> {
  const states = people.length > 1 ? loadStates(sql) : undefined;
  const begun = people.flatMap((id) => {
    const doing = (states ? states.get(id) : findState(sql, id))?.doing;
    return doing?.status === 'work' ? [[id, doing.entry] as const] : [];
  });
  const said = loadSaid(
    sql,
    begun.map(([, entry]) => entry),
  );
  return new Map(begun.flatMap(([id, entry]) => [[id, said.get(entry) ?? NOTHING_SAID] as const]));
}
const NOTHING_SAID: SaidOfStart = { machine: null, reason: null };

const writePieces = (sql: Sql, tasks: BoardChanges['tasks']): FloorJson['taskPieces'] =>
  [
    ...loadPieces(
      sql,
      tasks.map(({ id }) => id),
    ),
  ].map(([task, pieces]) => ({ task, ...pieces }));

/** What an order's lane is looked for by, beside what the board says of it. */
const writeDetails = (
  facts: ShopFacts,
  orders: BoardChanges['orders'],
  units: ReadonlyMap<string, string>,
): FloorJson['orderDetails'] =>
  orders.map(({ id }) => {
    const { division = '', jobType = '', unit, quantity = 0 } = facts.orders.get(id) ?? {};
    return { order: id, division, jobType, unit: units.get(unit ?? '') ?? '', quantity };
  });

/** The board with everybody's settled stretches of one local day. */
export function loadFloor(
  sql: Sql,
  facts: ShopFacts,
  day: LocalDay,
  now: Instant,
  plans: Plans,
  units: ReadonlyMap<string, string>,
): FloorJson {
  const { lanes, targets } = writeLanes(sql, facts, day, [...facts.technicians.keys()], {
    longest: longestStint(facts.policy),
  });
  const board = loadBoard(sql, facts, now, targets);
  return {
    ...board,
    day,
    people: [...facts.technicians.values()].map(({ id, crew, billedSeconds }) => {
      const { plan, absence, seconds, usualSeconds } = plans(id, day);
      const planned = plan && expectedSpan(plannedSpan(facts.zone, day, plan), usualSeconds - seconds);
      return {
        technician: id,
        crew: crew ?? '',
        planned: planned ?? null,
        isAway: absence != null,
        billedSeconds: billedSeconds ?? null,
      };
    }),
    orderDetails: writeDetails(facts, board.orders, units),
    taskPieces: writePieces(sql, board.tasks),
    lanes,
  };
}

/** What has changed of a day of the floor for some people and tasks. */
export function loadFloorPart(
  sql: Sql,
  facts: ShopFacts,
  day: LocalDay,
  now: Instant,
  part: BoardPart,
  units: ReadonlyMap<string, string>,
): NonNullable<DeepReadonly<FloorChanges>> {
  const seen = [...part.technicians].filter((id) => !facts.hidden?.has(id));
  const parts = seen.map((technician) => writeLanes(sql, facts, day, [technician], { technician }));
  const targets = new Set([...part.targets, ...parts.flatMap((each) => each.targets)]);
  const board = loadBoardPart(sql, facts, now, { ...part, targets });
  return {
    ...board,
    orderDetails: writeDetails(facts, board.orders, units),
    taskPieces: writePieces(sql, board.tasks),
    lanes: parts.flatMap(({ lanes }) => lanes),
  };
}
