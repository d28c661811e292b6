import { readDay, readInstant } from '../wire/index.ts';
import type { Board, BoardTarget, DrawnStint, SettledDay } from '@wergon/core/floor';
import type { UsedByType, EntryId, LaborState, Running, TargetFacts, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { Defect } from '@wergon/core/result';
import { createZone, inForceAt, toInstant, toSeconds } from '@wergon/core/time';
import type { Dated, Span } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { WorkOrderId } from '@wergon/core/work';
import type { BoardJson, FloorJson } from './board.ts';

const readDated = <From, To>(
  values: readonly { from: string; value: From }[],
  read: (value: From) => To,
): Dated<To> => values.map(({ from, value }) => ({ from: readInstant(from), value: read(value) }));

// The ids below were written by our own server from ids it had parsed.
const readRunning = (running: readonly { target: string; workType: Running['workType'] }[]) =>
  running.map(({ target, workType }): Running => ({ target: target as TargetId, workType }));

function readState({ shift, doing }: BoardJson['technicians'][number]['state']): LaborState {
  const since = (json: { since: string; entry: string }) => ({
    since: readInstant(json.since),
    entry: json.entry as EntryId,
  });
  return {
    shift: shift && since(shift),
    doing:
      doing.status === 'nothing'
        ? doing
        : doing.status === 'work'
          ? { status: 'work', ...since(doing), running: readRunning(doing.running) }
          : { status: 'break', ...since(doing), suspended: readRunning(doing.suspended) },
  };
}

/** Reads the board that the server sent. */
export function readBoard(json: BoardJson): Board {
  const zone = createZone(json.zone);
  if (!zone.ok) throw new Defect(`zone from the server: ${json.zone}`);
  const asOf = readInstant(json.asOf);
  const facts = new Map<TargetId, TargetFacts>();
  const targets = new Map<TargetId, BoardTarget>();
  for (const task of json.tasks) {
    const id = task.id as TargetId;
    const estimate = readDated(task.estimate, toSeconds);
    facts.set(id, { kind: 'task', estimate, isReleased: [{ from: toInstant(0), value: true }] });
    targets.set(id, {
      kind: 'task',
      id,
      title: task.title,
      order: task.order as WorkOrderId,
      estimatedSeconds: task.hasEstimate ? inForceAt(estimate, asOf) : null,
      used: task.used as UsedByType,
      isFinished: task.isFinished,
    });
  }
  for (const { id, title, counts, isOff } of json.activities) {
    facts.set(id as TargetId, { kind: 'activity', counts: readDated(counts, (value) => value) });
    targets.set(id as TargetId, { kind: 'activity', id: id as TargetId, title, isOff });
  }
  return {
    facts: {
      zone: zone.value,
      policy: readDated(json.policy, (value) => value),
      targets: facts,
      costRates: new Map(),
    },
    technicians: new Map(
      json.technicians.map(({ id, name, department, hasLeft, state, charged }) => [
        id as TechnicianId,
        {
          id: id as TechnicianId,
          name,
          department,
          hasLeft,
          state: readState(state),
          charged: { day: readDay(charged.day), seconds: toSeconds(charged.seconds) },
        },
      ]),
    ),
    orders: new Map(
      json.orders.map((order) => [
        order.id as WorkOrderId,
        { ...order, id: order.id as WorkOrderId, includes: withAlwaysIncluded(order.includes) },
      ]),
    ),
    targets,
  };
}

const readSpan = ({ from, to }: FloorJson['lanes'][number]['shifts'][number]): Span => ({
  from: readInstant(from),
  to: readInstant(to),
});

/** Reads everybody's settled stretches of the day that the server sent. */
export const readLanes = ({ lanes }: FloorJson): ReadonlyMap<TechnicianId, SettledDay> =>
  new Map(
    lanes.map(({ technician, stints, shifts, breaks, enteredSeconds }) => [
      technician as TechnicianId,
      {
        stints: stints.map((stint): DrawnStint => ({
          ...readSpan(stint),
          running: readRunning(stint.running),
          open: false,
          capped: stint.capped ?? false,
        })),
        shifts: shifts.map(readSpan),
        breaks: breaks.map(readSpan),
        enteredSeconds: toSeconds(enteredSeconds),
      },
    ]),
  );
