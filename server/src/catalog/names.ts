import type { TargetId } from '@wergon/core/ledger';
import type { ShopFacts } from './shopFacts.ts';

/** An order's number with the task's title, or an activity's title. */
export function titleOf(facts: ShopFacts, target: TargetId): string {
  const task = facts.tasks.get(target);
  const order = task && facts.orders.get(task.order);
  return task ? `${order?.number ?? ''} ${task.title}` : (facts.activities.get(target)?.title ?? '');
}

/** The number of a task's order. */
export function orderNumberOf(facts: ShopFacts, target: TargetId): string | null {
  const task = facts.tasks.get(target);
  return task ? (facts.orders.get(task.order)?.number ?? null) : null;
}
