import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { WorkOrderId } from '@wergon/core/work';

/** What some entries of the journal have changed: whose days, which tasks and activities, of which orders. */
export type Changes = {
  readonly technicians: ReadonlySet<TechnicianId>;
  readonly targets: ReadonlySet<TargetId>;
  readonly orders: ReadonlySet<WorkOrderId>;
};

export const noChanges: Changes = { technicians: new Set(), targets: new Set(), orders: new Set() };

export const joinChanges = (all: readonly Changes[]): Changes => ({
  technicians: new Set(all.flatMap(({ technicians }) => [...technicians])),
  targets: new Set(all.flatMap(({ targets }) => [...targets])),
  orders: new Set(all.flatMap(({ orders }) => [...orders])),
});

/** Commits whose changes are remembered: minutes of a busy shop. Whoever has missed more asks for the whole. */
const MOST_REMEMBERED = 2_000;

/** Remembers what the last commits have changed. */
export function createChangeMemory() {
  const steps: { readonly before: number; readonly after: number; readonly changes: Changes }[] = [];
  /** The last place at which something changed that moved the journal on to no other. */
  let unmoved = -1;
  return {
    add: (before: number, after: number, changes: Changes): void => {
      // What waited for its time to come changes something at no new place: who knows that place may not know of it.
      if (before === after) unmoved = after;
      else steps.push({ before, after, changes });
      if (steps.length > MOST_REMEMBERED) steps.shift();
    },
    /** What has changed since a place in the journal up to where it is now; absent where not all of that is remembered. */
    since: (seq: number, now: number): Changes | undefined => {
      // A commit that is not told of yet may be seen already.
      if (seq <= unmoved || steps.at(-1)?.after !== now || seq > now) return undefined;
      const first = steps.findIndex(({ after }) => after > seq);
      if (first < 0) return noChanges;
      const missed = steps.slice(first);
      const isUnbroken = missed.every(({ before }, i) => before === (i === 0 ? seq : missed[i - 1]?.after));
      return isUnbroken ? joinChanges(missed.map(({ changes }) => changes)) : undefined;
    },
  };
}
