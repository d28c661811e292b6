import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { formatDay, inForceAt } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { FieldProblem } from '@wergon/contract/wire';
import type { Sql } from '../db/index.ts';
import { findClosedUntil } from '../ledger/index.ts';
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
