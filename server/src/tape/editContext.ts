import type { LaborState, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { TapeGround, TimedEntry } from '@wergon/core/tape';
import type { Params } from '@wergon/core/result';
import { inForceAt, toInstant, addDays } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { refuse } from '../http/index.ts';
import type { RouteRefusal } from '../http/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, findStateBefore, readLaborEntry } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { EditScope } from '../loose-ends/index.ts';

/** Days around an edit that are read along: longer than any stint or shift. */
const DAYS_AROUND = 2;

/** A refused edit names the field, and what is there already. */
export function refuseEdit(code: RouteRefusal['code'], params: Params, { zone }: ShopFacts): RouteRefusal {
  const { field, from, to, hours } = params;
  const clock = (at: string | number) => {
    const minutes = Math.floor(zone.clockAt(toInstant(Number(at))) / 60);
    return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
  };
  const message =
    from !== undefined && to !== undefined
      ? `there is something from ${clock(from)} to ${clock(to)}`
      : hours !== undefined
        ? `at most ${hours} hours`
        : 'not possible here';
  return refuse(code, field === undefined ? undefined : [{ field: String(field), message }]);
}

/** What an edit stands on: the entries of its people around it, and where they stood before. */
export function loadGround(
  sql: Sql,
  facts: ShopFacts,
  { people, firstDay, lastDay }: EditScope,
  targets: readonly TargetId[],
  now: Instant,
): TapeGround {
  const first = addDays(firstDay, -DAYS_AROUND);
  const last = addDays(lastDay, DAYS_AROUND);
  const rows = people.flatMap((technician) =>
    sql.all<{ seq: number; body: string }>(
      `select "seq", "body" from "effective_entry"
       where "technician" = ? and "day" between ? and ? and "type" <> 'hours'`,
      [technician, first, last],
    ),
  );
  const states = new Map<TechnicianId, LaborState>();
  for (const technician of people) {
    const state = findStateBefore(sql, technician, first);
    if (state) states.set(technician, state);
  }
  const end = facts.zone.startOf(addDays(last, 1));
  // Only what the edit names is asked for: a shop has many tasks behind it.
  const closedTargets = new Set(
    targets.filter((target) => {
      const task = facts.tasks.get(target);
      const states = task && facts.orders.get(task.order)?.states;
      return states !== undefined && inForceAt(states, now) === 'closed';
    }),
  );
  return {
    entries: rows
      .sort((a, b) => a.seq - b.seq)
      .map(({ body }) => readLaborEntry(body))
      .filter((entry): entry is TimedEntry => entry.type !== 'hours'),
    states,
    facts,
    asOf: end < now ? end : now,
    closedUntil: findClosedUntil(sql),
    closedTargets,
  };
}
