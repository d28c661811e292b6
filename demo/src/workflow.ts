import type { LocalDay } from '@wergon/core/time';
import type { Department, Step } from './sampleShop.ts';

/** A task in the simulation: what was estimated and how long it will really take, in seconds. */
export type SimTask = {
  readonly id: string;
  readonly step: Step;
  readonly setupSeconds: number;
  /** Seconds of work after setup that it will really take. */
  readonly trueSeconds: number;
  /** How many can work on it at once. */
  readonly room: number;
  workedSeconds: number;
  people: number;
  isDone: boolean;
  /** The final test sent it back once: what is left is rework. */
  isRework: boolean;
};

export type SimOrder = {
  readonly id: string;
  readonly dueDay: LocalDay;
  readonly releasedAt: number;
  readonly tasks: readonly SimTask[];
  finishedAt: number | null;
};

/** The task that a person of a department should take up now: the first one that can be worked on, of the order that
 *  is due first. */
export function findTask(
  orders: readonly SimOrder[],
  department: Department,
  now: number,
): { readonly order: SimOrder; readonly task: SimTask } | undefined {
  for (const order of orders) {
    if (order.finishedAt !== null || order.releasedAt > now) continue;
    const next = order.tasks.find(({ isDone }) => !isDone);
    if (next && next.step.department === department && next.people < next.room) return { order, task: next };
  }
  return undefined;
}
