import { plannedSpan } from '@wergon/core/people';
import type { BoardJson, FloorJson } from '@wergon/contract/floor';
import { AT_REST } from '@wergon/core/ledger';
import type { LaborState, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { inForceAt, sumSeconds, addDays, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import {
  loadChargedOn,
  loadFinished,
  loadHours,
  loadPresence,
  loadSeq,
  loadStates,
  loadStints,
  loadUsedOf,
  longestStint,
} from '../ledger/index.ts';
import type { Plans } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { WorkOrder } from '../work/index.ts';

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

/** Who is on what as of the last entry, with the tasks of all orders that are not closed, and others asked for. */
export function loadBoard(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  alsoTargets: readonly TargetId[] = [],
): BoardJson {
  const today = facts.zone.dayAt(now);
  const orders = ordersOnBoard(facts, now);
  const orderIds = new Set(orders.map(({ id }) => id));
  const states = loadStates(sql);
  // Somebody may still be on a task of a closed order: what runs is always on the board.
  const running = new Set([...alsoTargets, ...[...states.values()].flatMap(targetsOfState)]);
  const onBoardTasks = orders
    .flatMap(({ id }) => facts.tasksByOrder.get(id) ?? [])
    .filter(({ id, isAccepted }) => isAccepted || running.has(id));
  const others = [...running].flatMap((id) => facts.tasks.get(id) ?? []);
  const tasks = [...onBoardTasks, ...others.filter(({ order }) => !orderIds.has(order))];
  const onBoard = new Set(tasks.map(({ order }) => order));
  const ids = tasks.map(({ id }) => id);
  const used = loadUsedOf(sql, ids);
  const finished = loadFinished(sql, ids);
  const charged = loadChargedOn(sql, today);
  return {
    asOf: now,
    seq: loadSeq(sql),
    zone: facts.zone.name,
    policy: facts.policy,
    technicians: [...facts.technicians.values()].map(({ id, name, department, leftOn }) => ({
      id,
      name,
      department,
      hasLeft: leftOn != null && leftOn < today,
      state: states.get(id) ?? AT_REST,
      charged: { day: today, seconds: charged.get(id) ?? toSeconds(0) },
    })),
    orders: [...new Set([...orderIds, ...onBoard])]
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
    activities: [...facts.activities.values()].map(({ id, title, isOff }) => {
      const known = facts.targets.get(id);
      return {
        id,
        title,
        isOff: isOff ?? false,
        counts: known?.kind === 'activity' ? known.counts : [],
      };
    }),
  };
}

const targetsOfState = ({ doing }: LaborState): TargetId[] => {
  const list = doing.status === 'work' ? doing.running : doing.status === 'break' ? doing.suspended : [];
  return list.map(({ target }) => target);
};

/** What belongs to each technician, looked up by their id. */
function byTechnician<T extends { readonly technician: TechnicianId }>(items: readonly T[]) {
  const own = new Map<string, T[]>();
  for (const item of items) {
    const list = own.get(item.technician);
    if (list) list.push(item);
    else own.set(item.technician, [item]);
  }
  return (id: string): readonly T[] => own.get(id) ?? [];
}

/** The board with everybody's settled stretches of one local day. */
export function loadFloor(
  sql: Sql,
  facts: ShopFacts,
  day: LocalDay,
  now: Instant,
  plans: Plans,
  units: ReadonlyMap<string, string>,
): FloorJson {
  const asked = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
  const stints = loadStints(sql, { ...asked, longest: longestStint(facts.policy) });
  const shifts = loadPresence(sql, 'shift', asked);
  const breaks = loadPresence(sql, 'break', asked);
  const hours = loadHours(sql, day, day);
  const board = loadBoard(
    sql,
    facts,
    now,
    stints.flatMap(({ running }) => running.map(({ target }) => target)),
  );
  const [stintsOf, shiftsOf, breaksOf] = [byTechnician(stints), byTechnician(shifts), byTechnician(breaks)];
  const hoursOf = byTechnician(hours);
  return {
    ...board,
    day,
    people: [...facts.technicians.values()].map(({ id, crew, billedSeconds }) => {
      const { plan, absence } = plans(id, day);
      const planned = plan && plannedSpan(facts.zone, day, plan);
      return {
        technician: id,
        crew: crew ?? '',
        planned: planned ?? null,
        isAway: absence != null,
        billedSeconds: billedSeconds ?? null,
      };
    }),
    orderDetails: board.orders.map(({ id }) => {
      const { division = '', jobType = '', unit } = facts.orders.get(id) ?? {};
      return { order: id, division, jobType, unit: units.get(unit ?? '') ?? '' };
    }),
    lanes: board.technicians.map(({ id }) => ({
      technician: id,
      stints: stintsOf(id).map((stint) => ({
        from: stint.from,
        to: stint.to,
        running: stint.running,
        ...(stint.capped ? { capped: true } : {}),
      })),
      shifts: shiftsOf(id),
      breaks: breaksOf(id),
      enteredSeconds: sumSeconds(hoursOf(id)),
    })),
  };
}
