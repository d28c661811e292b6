import type { Board, BoardTarget, SettledDay } from '@wergon/core/floor';
import type { TargetFacts, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { Defect } from '@wergon/core/result';
import { createZone, inForceAt, toInstant } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { BoardJson, FloorJson } from './board.ts';

/** Puts the board that the server sent in the form in which core reads it, each thing under its id. */
export function readBoard(board: BoardJson): Board {
  const zone = createZone(board.zone);
  if (!zone.ok) throw new Defect(`zone from the server: ${board.zone}`);
  const facts = new Map<TargetId, TargetFacts>();
  const targets = new Map<TargetId, BoardTarget>();
  for (const { id, title, order, estimate, hasEstimate, used, isFinished } of board.tasks) {
    facts.set(id, { kind: 'task', estimate, isReleased: [{ from: toInstant(0), value: true }] });
    const estimatedSeconds = hasEstimate ? inForceAt(estimate, board.asOf) : null;
    targets.set(id, { kind: 'task', id, title, order, estimatedSeconds, used, isFinished });
  }
  for (const { id, title, counts, isOff } of board.activities) {
    facts.set(id, { kind: 'activity', counts });
    targets.set(id, { kind: 'activity', id, title, isOff });
  }
  return {
    facts: { zone: zone.value, policy: board.policy, targets: facts, costRates: new Map() },
    technicians: new Map(board.technicians.map((technician) => [technician.id, technician])),
    orders: new Map(
      board.orders.map((order) => [order.id, { ...order, includes: withAlwaysIncluded(order.includes) }]),
    ),
    targets,
  };
}

/** Everybody's settled stretches of the day that the server sent. */
export const readLanes = ({ lanes }: FloorJson): ReadonlyMap<TechnicianId, SettledDay> =>
  new Map(
    lanes.map(({ technician, stints, ...day }) => [
      technician,
      {
        ...day,
        stints: stints.map(({ capped = false, ...stint }) => ({ ...stint, open: false, capped })),
      },
    ]),
  );
