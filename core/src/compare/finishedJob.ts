import type { Dated, Instant } from '../time/index.ts';
import { isBehind } from '../work/index.ts';
import type { OrderState } from '../work/index.ts';

/** When a job was finished: with the last of its accepted tasks, once all are; else since when its order is finished or
 *  closed. `null` of what goes on. Source: docs/compare.md, section 3. */
export function finishedAtOf(
  tasks: readonly { readonly finishedAt: Instant | null; readonly isAccepted: boolean }[],
  states: Dated<OrderState>,
): Instant | null {
  const times = tasks.flatMap(({ isAccepted, finishedAt }) => (isAccepted ? [finishedAt] : []));
  const done = times.filter((at) => at !== null);
  if (done.length > 0 && done.length === times.length) return done.reduce((a, b) => (b > a ? b : a));
  const lastOpen = states.findLastIndex(({ value }) => !isBehind(value));
  return states[lastOpen + 1]?.from ?? null;
}
