import { chargeDays, secondsOfDay } from '@wergon/core/ledger';
import type { EntryId, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { findFullDays } from '@wergon/core/timesheet';
import { addDays, formatDay, inForceAt } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { FieldProblem } from '@wergon/contract/wire';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, loadHours, loadPersonTimeline } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** Time that is written down for a person's day, whatever the form. */
type Written = { readonly technician: TechnicianId; readonly target: TargetId; readonly day: LocalDay };

/** What is wrong with time written down, but for how much there is of it; `before` is what stands there already. */
export function findErrors(
  sql: Sql,
  facts: ShopFacts,
  { technician, target, day }: Written,
  before: { readonly day: LocalDay; readonly targets: readonly TargetId[] } | undefined,
  now: Instant,
): FieldProblem[] {
  const errors: FieldProblem[] = [];
  if (!facts.technicians.has(technician)) errors.push({ field: 'technician', message: 'no such technician' });
  if (!facts.targets.has(target)) errors.push({ field: 'target', message: 'no such task or activity' });
  if (day > facts.zone.dayAt(now)) errors.push({ field: 'day', message: 'lies in the future' });
  const closedUntil = findClosedUntil(sql);
  if (closedUntil !== null && Math.min(day, before?.day ?? day) <= closedUntil)
    errors.push({ field: 'day', message: `${formatDay(day)} lies in a closed pay period` });
  const task = facts.tasks.get(target);
  const states = task && facts.orders.get(task.order)?.states;
  if (states && before?.targets[0] !== target && inForceAt(states, now) === 'closed')
    errors.push({ field: 'target', message: 'its order is closed' });
  return errors;
}

/** A part of a row on one day, and the field that is wrong where there is too much of it. */
type Part = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly seconds: number;
  readonly field: string;
};

/** Parts that would make a day hold more than it has: stints and everything written down for it but `changed`. */
export function findFull(
  sql: Sql,
  facts: ShopFacts,
  parts: readonly Part[],
  changed: ReadonlySet<EntryId | undefined>,
  now: Instant,
): FieldProblem[] {
  const heldBefore = (technician: TechnicianId, day: LocalDay): number => {
    const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
    const { stints } = loadPersonTimeline(sql, facts, technician, span, now);
    const entered = loadHours(sql, day, day).filter(
      (entry) => entry.technician === technician && !changed.has(entry.id),
    );
    return secondsOfDay(chargeDays(stints, entered, facts), day);
  };
  const lengthOf = (day: LocalDay) => facts.zone.startOf(addDays(day, 1)) - facts.zone.startOf(day);
  return findFullDays(parts, heldBefore, lengthOf).flatMap((place) => {
    const part = parts[place];
    return part
      ? {
          field: part.field,
          message: `${formatDay(part.day)} would hold more than ${lengthOf(part.day) / 3600} hours`,
        }
      : [];
  });
}
